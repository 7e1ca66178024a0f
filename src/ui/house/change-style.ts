import type { HouseStyle } from "../../core/house/style.ts";

/** Makes a change to the house style and keeps it. */
export type ChangeStyle = (change: (style: HouseStyle) => HouseStyle) => void;
