import { csv } from "../../../../core/house/exchange.ts";
import type { Table } from "../../../../core/readings/tables.ts";
import { saveText } from "../../../parts/save-file.ts";

/** A table's title as a file's name. */
export function fileNameOf({ title }: Table): string {
  return title.toLowerCase().replace(/[^a-z0-9]+/g, "-");
}

/** Takes a table out as a .csv file. */
export function saveTable(table: Table): void {
  const rows = [table.columns, ...table.rows.map((row) => row.map(String))];
  saveText(csv(rows), `${fileNameOf(table)}.csv`);
}
