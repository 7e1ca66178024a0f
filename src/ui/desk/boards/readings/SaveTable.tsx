import type { Table } from "../../../../core/readings/tables.ts";
import { saveTable } from "./save-table.ts";

/** A small button that takes a table out as a .csv file. */
export function SaveTable({ table }: { table: Table }) {
  return (
    <button type="button" className="font-normal hover:underline" onClick={() => saveTable(table)}>
      .csv<span className="sr-only"> of {table.title}</span>
    </button>
  );
}
