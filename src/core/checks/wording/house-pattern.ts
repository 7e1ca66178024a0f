import { houseCheck } from "../house/house-check.ts";
import { housePattern as card } from "./cards.ts";

/** A pattern or an expression that a house has a reason to look at. */
export const housePattern = houseCheck(card);
