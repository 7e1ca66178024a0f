import { useMemo } from "react";
import {
  Bar,
  BarChart,
  Line,
  LineChart,
  ReferenceArea,
  ResponsiveContainer,
  XAxis,
  YAxis,
} from "recharts";
import type { Reach } from "../../../../core/readings/reach.ts";
import {
  type Bin,
  binLabel,
  binned,
  binTable,
  listedSections,
  PARAGRAPH_STEP,
  SENTENCE_STEP,
  type Table,
} from "../../../../core/readings/tables.ts";
import { Figure } from "./Figure.tsx";
import type { PartProps } from "./part.ts";

const HEIGHT = 150;
const TICK = { fontSize: 11, fill: "var(--soft)" };
const MARGIN = { top: 6, right: 4, bottom: 0, left: 0 };

/** How the lengths of sentences and paragraphs are spread. */
export function Lengths({ readings, asTables }: PartProps) {
  const sentences = useMemo(
    () =>
      binned(
        readings.sentences.map(({ words }) => words),
        SENTENCE_STEP.step,
        SENTENCE_STEP.last,
      ),
    [readings],
  );
  const paragraphs = useMemo(
    () =>
      binned(
        readings.paragraphs.map(({ words }) => words),
        PARAGRAPH_STEP.step,
        PARAGRAPH_STEP.last,
      ),
    [readings],
  );
  return (
    <>
      <Histogram title="Lengths of sentences" unit="Words" bins={sentences} asTable={asTables} />
      <Histogram title="Lengths of paragraphs" unit="Words" bins={paragraphs} asTable={asTables} />
    </>
  );
}

interface HistogramProps {
  title: string;
  unit: string;
  bins: readonly Bin[];
  asTable: boolean;
}

function Histogram({ title, unit, bins, asTable }: HistogramProps) {
  const data = bins.map((bin) => ({ label: binLabel(bin), count: bin.count }));
  const most = data.reduce((best, one) => (one.count > best.count ? one : best), {
    label: "",
    count: 0,
  });
  return (
    <Figure
      table={binTable(title, unit, bins)}
      told={`${title}: most have ${most.label} words.`}
      asTable={asTable}
    >
      <ResponsiveContainer width="100%" height={HEIGHT}>
        <BarChart data={data} barCategoryGap={2} margin={MARGIN}>
          <YAxis
            width={30}
            tickCount={4}
            allowDecimals={false}
            tickLine={false}
            axisLine={false}
            tick={TICK}
          />
          <XAxis
            dataKey="label"
            tickLine={false}
            axisLine={{ stroke: "var(--ink)" }}
            tick={TICK}
            height={20}
          />
          <Bar dataKey="count" fill="var(--soft)" isAnimationActive={false} />
        </BarChart>
      </ResponsiveContainer>
    </Figure>
  );
}

/** The median of the grades by section, over the band of the reader. */
export function Grades({
  readings,
  reports,
  reach,
  asTables,
}: PartProps & { reach: readonly Reach[] }) {
  const { reader } = reports;
  const listed = listedSections(reach);
  const data = listed.map((index) => ({
    label: shortTitle(readings.sections[index]?.title ?? ""),
    grade: reach[index]?.grade ?? null,
  }));
  const table: Table = {
    title: "Grade by section",
    columns: ["Section", "Grade"],
    rows: readings.sections.map(({ title }, index) => [
      title || "Before the first heading",
      reach[index]?.grade?.toFixed(1) ?? "",
    ]),
  };
  const beyond = reach.filter(({ isHard }) => isHard).length;
  return (
    <Figure
      table={table}
      told={`Grades by section: ${beyond} above the reader’s ${reader.grade}.`}
      aside={
        listed.length < readings.sections.length
          ? `${listed.length} of ${readings.sections.length} sections, those beyond grade ${reader.grade} first`
          : `this reader’s grade: up to ${reader.grade}`
      }
      asTable={asTables}
    >
      <ResponsiveContainer width="100%" height={HEIGHT}>
        <BarChart data={data} barCategoryGap={4} margin={MARGIN}>
          <ReferenceArea y1={0} y2={reader.grade} fill="var(--tint)" fillOpacity={0.45} />
          <YAxis
            width={30}
            tickCount={4}
            tickLine={false}
            axisLine={false}
            tick={TICK}
            domain={[0, (most: number) => Math.max(Math.ceil(most), reader.grade + 1)]}
          />
          <XAxis
            dataKey="label"
            tickLine={false}
            axisLine={{ stroke: "var(--ink)" }}
            tick={TICK}
            height={20}
          />
          <Bar
            dataKey="grade"
            isAnimationActive={false}
            shape={({ x, y, width, height, payload }: GradeShape) => (
              <rect
                x={x}
                y={y}
                width={width}
                height={height}
                fill={(payload?.grade ?? 0) > reader.grade ? "var(--pen)" : "var(--soft)"}
              />
            )}
          />
        </BarChart>
      </ResponsiveContainer>
    </Figure>
  );
}

interface GradeShape {
  x?: number;
  y?: number;
  width?: number;
  height?: number;
  payload?: { grade: number | null };
}

const SHORT_TITLE = 14;

function shortTitle(title: string): string {
  return title.length > SHORT_TITLE ? `${title.slice(0, SHORT_TITLE - 1)}…` : title;
}

/** Points of the lines; more of them are averaged. */
const MOST_POINTS = 120;

/** Mean lengths along the text, before it was changed and now. */
export function BeforeAfter({ readings, asTables }: PartProps) {
  const now = useMemo(() => readings.sentences.map(({ words }) => words), [readings]);
  const { before } = readings;
  if (!before) {
    return (
      <section aria-label="Before and after">
        <h3 className="text-xs font-semibold text-soft">Before and after</h3>
        <p className="mt-2 text-[13px] text-soft">
          Nothing has been changed yet. The first correction draws a second line here.
        </p>
      </section>
    );
  }
  const points = Math.min(MOST_POINTS, Math.max(now.length, before.lengths.length));
  const data = Array.from({ length: points }, (_, index) => ({
    at: `${Math.round((100 * (index + 1)) / points)}%`,
    before: meanAt(before.lengths, index, points),
    now: meanAt(now, index, points),
  }));
  return (
    <Figure
      table={{
        title: "Before and after",
        columns: ["Place in the text", "Words a sentence before", "Now"],
        rows: data.map(({ at, before: then, now: today }) => [at, then, today]),
      }}
      told="Words a sentence along the text, before and after."
      aside="dotted before, drawn now"
      asTable={asTables}
    >
      <ResponsiveContainer width="100%" height={HEIGHT}>
        <LineChart data={data} margin={MARGIN}>
          <YAxis width={30} tickCount={4} tickLine={false} axisLine={false} tick={TICK} />
          <XAxis
            dataKey="at"
            tickLine={false}
            axisLine={{ stroke: "var(--ink)" }}
            tick={TICK}
            height={20}
            minTickGap={40}
          />
          <Line
            dataKey="before"
            stroke="var(--soft)"
            strokeDasharray="2 3"
            dot={false}
            isAnimationActive={false}
          />
          <Line
            dataKey="now"
            stroke="var(--pen)"
            strokeWidth={1.5}
            dot={false}
            isAnimationActive={false}
          />
        </LineChart>
      </ResponsiveContainer>
    </Figure>
  );
}

function meanAt(lengths: readonly number[], index: number, points: number): number {
  const from = Math.floor((index * lengths.length) / points);
  const to = Math.max(from + 1, Math.floor(((index + 1) * lengths.length) / points));
  const own = lengths.slice(from, to);
  const sum = own.reduce((total, one) => total + one, 0);
  return Number((sum / Math.max(1, own.length)).toFixed(1));
}
