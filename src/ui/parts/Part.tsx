import { figureColumns, shownCells, type Table } from "../../core/readings/tables.ts";
import type { ReportPart } from "../../core/report/parts.ts";

/** A part of a report: its title, its sentences, its tables. */
export function Part({ part: { title, lines, tables } }: { part: ReportPart }) {
  return (
    <section className="mt-7" aria-label={title}>
      <h2 className="border-b border-rule pb-1 font-book text-xl font-semibold">{title}</h2>
      {lines.map((line) => (
        <p key={line} className="mt-2 max-w-[76ch]">
          {line}
        </p>
      ))}
      {tables.map((table) => (
        <PartTable key={table.title} table={table} />
      ))}
    </section>
  );
}

function PartTable({ table }: { table: Table }) {
  const { title, columns } = table;
  const isFigure = figureColumns(table);
  const side = (index: number) => (isFigure[index] ? "text-right" : "text-left");
  const hasHead = columns.some((column) => column !== "");
  return (
    <>
      <h3 className="mt-4 text-xs font-semibold text-soft">{title}</h3>
      <table className="mt-1 w-full text-[13.5px]">
        {hasHead ? (
          <thead>
            <tr className="border-b border-rule text-xs text-soft">
              {columns.map((column, index) => (
                <th
                  // biome-ignore lint/suspicious/noArrayIndexKey: columns stay where they are
                  key={index}
                  scope="col"
                  className={`py-1 pr-4 font-semibold last:pr-0 ${side(index)}`}
                >
                  {column}
                </th>
              ))}
            </tr>
          </thead>
        ) : null}
        <tbody>
          {shownCells(table).map((row, at) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: rows stay where they are
            <tr key={at} className="break-inside-avoid border-b border-hair">
              {row.map((cell, index) => (
                <td
                  // biome-ignore lint/suspicious/noArrayIndexKey: columns stay where they are
                  key={index}
                  className={`py-1 pr-4 align-top last:pr-0 ${side(index)}`}
                >
                  {cell}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}
