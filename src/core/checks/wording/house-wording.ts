import { houseCheck } from "../house/house-check.ts";
import { houseWording as card } from "./cards.ts";

/** Wording that the house would weigh. */
export const houseWording = houseCheck(card);
