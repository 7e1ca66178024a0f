import { houseCheck } from "../house/house-check.ts";
import { houseTerm as card } from "./cards.ts";

/** A word that the house does not write, with what it writes instead. */
export const houseTerm = houseCheck(card);
