import { type ReactNode, useId, useRef } from "react";
import { figureColumns, shownCells, type Table } from "../../../../core/readings/tables.ts";
import { saveFile } from "../../../parts/save-file.ts";
import { chartPng, chartSvg } from "./chart-image.ts";
import { SaveTable } from "./SaveTable.tsx";
import { fileNameOf } from "./save-table.ts";

interface FigureProps {
  table: Table;
  /** The same in one sentence, for whoever can't see the chart. */
  told: string;
  /** Beside the title. */
  aside?: ReactNode;
  /** The table is shown, and the chart is not. */
  asTable: boolean;
  /** Rows of the table shown on screen; the file has all. */
  mostRows?: number;
  /** The chart; left out where there is a table only. */
  children?: ReactNode;
}

/** Enough rows to read; a longer table goes out as a file. */
const MOST_ROWS = 200;

/** A chart with its table, each to be taken out as a file. */
export function Figure({ table, told, aside, asTable, mostRows, children }: FigureProps) {
  const title = useId();
  const drawn = useRef<HTMLDivElement>(null);
  const name = fileNameOf(table);
  const svg = () => drawn.current && chartSvg(drawn.current);
  const saveSvg = () => {
    const image = svg();
    if (image) saveFile(new TextEncoder().encode(image), `${name}.svg`);
  };
  const savePng = async () => {
    const image = svg();
    if (image) saveFile(await chartPng(image), `${name}.png`);
  };
  const isChart = children !== undefined && !asTable;
  return (
    <section aria-labelledby={title}>
      <header className="flex items-baseline gap-3 text-xs text-soft">
        <h3 id={title} className="font-semibold">
          {table.title}
        </h3>
        <span className="grow">{aside}</span>
        <SaveTable table={table} />
        {isChart ? (
          <>
            <button type="button" className="hover:underline" onClick={saveSvg}>
              .svg<span className="sr-only"> of {table.title}</span>
            </button>
            <button type="button" className="hover:underline" onClick={() => void savePng()}>
              .png<span className="sr-only"> of {table.title}</span>
            </button>
          </>
        ) : null}
      </header>
      {isChart ? (
        <div ref={drawn} role="img" aria-label={`${told} T shows the figures.`} className="mt-1.5">
          {children}
        </div>
      ) : (
        <FigureTable table={table} most={mostRows ?? MOST_ROWS} />
      )}
    </section>
  );
}

function FigureTable({ table, most }: { table: Table; most: number }) {
  const { title, columns, rows } = table;
  const isFigure = figureColumns(table);
  const side = (index: number) => (isFigure[index] && index > 0 ? "text-right" : "text-left");
  return (
    <section
      className="mt-1 max-h-80 overflow-auto"
      // biome-ignore lint/a11y/noNoninteractiveTabindex: what is scrolled must be reached by keys
      tabIndex={0}
      aria-label={`${title}, as a table`}
    >
      <table className="w-full text-[13px]">
        <thead>
          <tr className="border-b border-rule text-xs text-soft">
            {columns.map((column, index) => (
              <th
                key={column}
                scope="col"
                className={`py-1 pr-3 font-semibold last:pr-0 ${side(index)}`}
              >
                {column}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {shownCells({ ...table, rows: rows.slice(0, most) }).map((row, at) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: rows have no other name
            <tr key={at} className="border-b border-hair">
              {row.map((cell, index) => (
                <td key={columns[index]} className={`py-1 pr-3 align-top last:pr-0 ${side(index)}`}>
                  {cell}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      {rows.length > most ? (
        <p className="py-1.5 text-xs text-soft">
          {rows.length - most} more rows are in the .csv file.
        </p>
      ) : null}
    </section>
  );
}
