import { markCheck } from "../../mark-check.ts";
import { whoWhich as card } from "./cards.ts";

/** "the people which". */
export const whoWhich = markCheck({
  ...card,
  reason: "Of people: “{1}”.",
  patterns: [
    "people|man|men|woman|women|person|persons|child|children|boy|boys|girl|girls|keeper|keepers|clerk|clerks|visitor|visitors|author|authors|reader|readers|student|students|patient|patients|customer|customers|worker|workers|teacher|teachers|doctor|doctors|members|friend|friends [which] VBD|VBZ|VB|MD => who",
  ],
  accepts: ({ bounds }, { words }) =>
    !/^(?:of|in|from|for|by)$/.test(words[(bounds[0] ?? 0) - 1]?.form ?? "") &&
    !/^(?:of|in|from|for|by)$/.test(words[(bounds[0] ?? 0) - 2]?.form ?? ""),
});
