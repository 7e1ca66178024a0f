import type { TextReadings } from "../../../../core/engine/reading.ts";
import type { BoardProps } from "../board.ts";

/** What every part of the readings board is given. */
export interface PartProps extends BoardProps {
  readings: TextReadings;
  /** Charts are shown as their tables. */
  asTables: boolean;
}
