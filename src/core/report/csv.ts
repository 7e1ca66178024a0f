import { csv } from "../house/exchange.ts";
import type { ReportPart } from "./parts.ts";

/** A report as rows for a sheet: the part and the table each row is of, then its cells. */
export function reportCsv(parts: readonly ReportPart[]): string {
  const rows: string[][] = [];
  for (const { title, lines, tables } of parts) {
    for (const line of lines) rows.push([title, "", line]);
    for (const table of tables) {
      rows.push([title, table.title, ...table.columns]);
      for (const row of table.rows) rows.push([title, table.title, ...row.map(String)]);
    }
  }
  return csv(rows);
}
