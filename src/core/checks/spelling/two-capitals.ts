import { twoCapitals as card } from "./cards.ts";
import { strayCapitalsCheck } from "./stray-capitals.ts";

export const twoCapitals = strayCapitalsCheck(card, "two");
