import { type Measure, measureCard } from "../../../../core/readings/measures.ts";
import type { ReadingCounts } from "../../../../core/readings/readings.ts";
import { countName } from "../../../../core/readings/tables.ts";
import { count, figure } from "../../../parts/words.ts";
import type { PartProps } from "./part.ts";

const FEW_WORDS = 100;

/** Every measure, how far the grades agree, and for each what it is made of and does not tell. */
export function Measures({ readings }: PartProps) {
  const { measures, grade, before, counts } = readings;
  return (
    <section aria-label="Measures">
      <h3 className="border-b border-rule pb-1 text-xs font-semibold text-soft">Measures</h3>
      {grade ? (
        <p className="py-2 text-[13px]">
          {count(grade.measures, "grade formula", "grade formulas")}{" "}
          {grade.measures === 1 ? "says" : "lie between"} <b>{grade.lowest.toFixed(1)}</b>
          {grade.measures === 1 ? "" : " and "}
          {grade.measures === 1 ? "" : <b>{grade.highest.toFixed(1)}</b>}
          {before?.grade
            ? `; before, between ${before.grade.lowest.toFixed(1)} and ${before.grade.highest.toFixed(1)}`
            : ""}
          .
        </p>
      ) : null}
      {counts.words < FEW_WORDS ? (
        <p className="pb-2 text-[13px] text-soft">
          Under {FEW_WORDS} words: one long sentence decides what these say.
        </p>
      ) : null}
      {measures.map((measure) => (
        <MeasureRow
          key={measure.id}
          measure={measure}
          before={before?.measures.find(({ id }) => id === measure.id) ?? null}
        />
      ))}
    </section>
  );
}

function MeasureRow({ measure, before }: { measure: Measure; before: Measure | null }) {
  const card = measureCard(measure.id);
  const inputs = Object.entries(measure.inputs).map(
    ([name, value]) => `${countName(name as keyof ReadingCounts)} ${figure(value)}`,
  );
  return (
    <details className="border-b border-hair py-1 text-[13.5px]">
      <summary className="select-none">
        <span className="inline-grid w-[calc(100%-20px)] grid-cols-[minmax(0,1fr)_64px_64px] gap-2 align-top">
          <span>{card.title}</span>
          <span className="text-right text-soft">{before ? shown(before) : ""}</span>
          <span className={`text-right ${measure.value === null ? "text-soft" : "font-semibold"}`}>
            {shown(measure)}
          </span>
        </span>
      </summary>
      <div className="space-y-1 py-1.5 pl-4 text-[13px] text-soft">
        {measure.value === null ? (
          <p className="text-ink">
            Not told: it takes{" "}
            {count(card.least?.number ?? 1, card.least?.of.slice(0, -1) ?? "word")} at least.
          </p>
        ) : null}
        <p>{card.means}</p>
        <p>{card.beyond}</p>
        <p className="text-ink">{card.formula}</p>
        <p>From {inputs.join(", ")}.</p>
        <p>{card.source}.</p>
      </div>
    </details>
  );
}

function shown({ value }: Measure): string {
  return value === null ? "too short" : value.toFixed(1);
}
