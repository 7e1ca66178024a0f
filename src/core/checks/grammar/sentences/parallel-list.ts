import { markCheck } from "../../mark-check.ts";
import { parallelList as card } from "./cards.ts";

/** "walking, fishing and to row". */
export const parallelList = markCheck({
  ...card,
  reason: "The others in the list are alike: “{1}”.",
  patterns: [
    "like~|enjoy~|love~|hate~|prefer~|start~|stop~|include~|avoid~ VBG NOUN? , VBG ,? and|or [to VB] => $9:VBG",
    "like~|enjoy~|love~|hate~|prefer~ VBG and|or [to VB] => $5:VBG",
    "VB DT|PRP$? NOUN|PPO? , to VB DT|PRP$? NOUN|PPO? and|or [VBG] => to $10:VB",
    "to VB , to VB ,? and|or [VBG] => to $8:VB",
  ],
});
