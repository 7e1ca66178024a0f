import { houseCheck } from "../../house/house-check.ts";
import { houseForm as card } from "./cards.ts";

/** A name, capitals or a compound that the house has otherwise. */
export const houseForm = houseCheck(card);
