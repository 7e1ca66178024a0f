import { useMemo } from "react";
import { Bar, BarChart, ReferenceArea, ResponsiveContainer, Tooltip, XAxis, YAxis } from "recharts";
import { costBound } from "../../../../core/readings/readers.ts";
import { type SentenceBar, sentenceBars, sentenceTable } from "../../../../core/readings/tables.ts";
import { count } from "../../../parts/words.ts";
import { Figure } from "./Figure.tsx";
import type { PartProps } from "./part.ts";

const HEIGHT = 152;
/** Share of the chart's width a section must have for its title to be written under it. */
const LEAST_SHARE = 0.045;
const CHARACTER = 6.4;

/** Every sentence a bar, in order, over the band of what the reader takes with ease. */
export function SentenceBars({ readings, reports, deciding, asTables }: PartProps) {
  const { reader, text } = reports;
  const { sentences, counts, sections } = readings;
  const bars = useMemo(() => sentenceBars(sentences, reader), [sentences, reader]);
  const table = useMemo(() => sentenceTable(readings, text), [readings, text]);
  const hard = sentences.filter(({ cost }) => cost >= costBound(reader)).length;
  const mean = (counts.words / counts.sentences).toFixed(1);
  const starts = sectionStarts(bars).filter(({ share }) => share >= LEAST_SHARE);
  const titles = new Map(sections.map(({ section, title }) => [section, title]));
  const go = (bar: SentenceBar) => {
    const sentence = sentences[bar.sentence];
    if (sentence) deciding.goToRange(sentence);
  };
  const of = bars[0]?.of ?? 1;
  const told = `${count(counts.sentences, "sentence")} of ${mean} words on average, ${hard} too hard for this reader.`;
  return (
    <div className="pt-3">
      <Figure
        table={{ ...table, title: "Sentences by their words, in order" }}
        told={told}
        asTable={asTables}
        aside={
          <>
            {count(counts.sentences, "sentence")}, {mean} words on average;{" "}
            <span className="text-pen">{hard} too hard</span>; this reader’s ease: {reader.shortest}{" "}
            to {reader.longest} words
            {of > 1 ? `; each bar is the hardest of ${of} sentences` : ""}
          </>
        }
      >
        <ResponsiveContainer width="100%" height={HEIGHT}>
          <BarChart
            data={bars}
            barCategoryGap={1}
            margin={{ top: 6, right: 0, bottom: 0, left: 0 }}
          >
            <ReferenceArea
              y1={reader.shortest}
              y2={reader.longest}
              fill="var(--tint)"
              fillOpacity={0.45}
            />
            <YAxis
              width={28}
              tickCount={4}
              tickLine={false}
              axisLine={false}
              tick={{ fontSize: 11, fill: "var(--soft)" }}
            />
            <XAxis
              dataKey="sentence"
              interval={0}
              ticks={starts.map(({ bar }) => bars[bar]?.sentence ?? 0)}
              tickLine={{ stroke: "var(--faint)" }}
              axisLine={{ stroke: "var(--ink)" }}
              height={22}
              tick={({ x, y, index }) => (
                <SectionTick
                  x={Number(x)}
                  y={Number(y)}
                  title={titles.get(starts[index]?.section ?? 0) ?? ""}
                  share={starts[index]?.share ?? 0}
                />
              )}
            />
            <Tooltip
              cursor={{ fill: "var(--hair)" }}
              isAnimationActive={false}
              content={({ payload }) => (
                <BarNote
                  bar={payload?.[0]?.payload as SentenceBar | undefined}
                  props={{ readings, text }}
                />
              )}
            />
            <Bar
              dataKey="words"
              isAnimationActive={false}
              shape={({ x, y, width, height, payload }: BarShape) => (
                <rect
                  x={x}
                  y={y}
                  width={Math.max(1, width ?? 1)}
                  height={height}
                  fill={payload?.isHard ? "var(--pen)" : "var(--soft)"}
                />
              )}
              onClick={(bar) => go(bar.payload as SentenceBar)}
              cursor="pointer"
            />
          </BarChart>
        </ResponsiveContainer>
      </Figure>
    </div>
  );
}

interface BarShape {
  x?: number;
  y?: number;
  width?: number;
  height?: number;
  payload?: SentenceBar;
}

interface SectionStart {
  section: number;
  /** The bar it begins with, and its share of all. */
  bar: number;
  share: number;
}

function sectionStarts(bars: readonly SentenceBar[]): SectionStart[] {
  const starts: SectionStart[] = [];
  for (const [bar, { section }] of bars.entries()) {
    if (starts.at(-1)?.section !== section) starts.push({ section, bar, share: 0 });
    const last = starts.at(-1);
    if (last) last.share = (bar + 1 - last.bar) / bars.length;
  }
  return starts;
}

const WIDTH = 960;

function SectionTick({
  x,
  y,
  title,
  share,
}: {
  x: number;
  y: number;
  title: string;
  share: number;
}) {
  const room = Math.floor((share * WIDTH) / CHARACTER) - 1;
  if (title === "") return <g />;
  const label = title.length > room ? `${title.slice(0, Math.max(1, room - 1))}…` : title;
  return (
    <text x={x + 3} y={y + 8} fontSize={11} fill="var(--soft)" textAnchor="start">
      {label}
    </text>
  );
}

const SHOWN = 160;

function BarNote({
  bar,
  props: { readings, text },
}: {
  bar: SentenceBar | undefined;
  props: Pick<PartProps, "readings"> & { text: string };
}) {
  const sentence = bar && readings.sentences[bar.sentence];
  if (!bar || !sentence) return null;
  const own = text.slice(sentence.from, sentence.to);
  return (
    <div className="max-w-96 border border-rule bg-sheet px-3 py-2 font-book text-[13px] leading-snug shadow-none">
      {own.length > SHOWN ? `${own.slice(0, SHOWN)}…` : own}
      <span className="mt-1 block font-plain text-xs text-soft">{count(bar.words, "word")}</span>
    </div>
  );
}
