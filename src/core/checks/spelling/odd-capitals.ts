import { oddCapitals as card } from "./cards.ts";
import { strayCapitalsCheck } from "./stray-capitals.ts";

export const oddCapitals = strayCapitalsCheck(card, "inside");
