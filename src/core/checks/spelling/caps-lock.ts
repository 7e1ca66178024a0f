import { capsLock as card } from "./cards.ts";
import { strayCapitalsCheck } from "./stray-capitals.ts";

export const capsLock = strayCapitalsCheck(card, "caps-lock");
