import { useEffect, useState } from "react";
import type { VoiceStretch } from "../../../../core/originality/voice.ts";
import { figure } from "../../../parts/words.ts";
import type { Overlaps } from "../../overlaps.ts";

interface VoiceProps {
  text: string;
  overlaps: Overlaps;
  onSee: (stretch: VoiceStretch) => void;
}

/** Beyond this a bar is drawn no higher. */
const HIGHEST = 6;

/** Which stretches are unlike the rest of the text: a question to the writer, asked only when that is wanted. */
export function Voice({ text, overlaps, onSee }: VoiceProps) {
  const [stretches, setStretches] = useState<VoiceStretch[] | null>(null);
  // biome-ignore lint/correctness/useExhaustiveDependencies: another text is another voice
  useEffect(() => {
    let current = true;
    void overlaps.voice().then((found) => {
      if (current) setStretches(found);
    });
    return () => {
      current = false;
    };
  }, [text, overlaps]);
  const asked = stretches?.filter(({ isUnlike, isUniform }) => isUnlike || isUniform) ?? [];
  return (
    <div
      // biome-ignore lint/a11y/noNoninteractiveTabindex: a long table is scrolled by keyboard
      tabIndex={0}
      className="min-h-0 grow overflow-auto border-t border-ink px-8 pb-10"
      data-testid="voice"
    >
      <p className="max-w-[76ch] pt-4 text-soft">
        Stretches of 250 words beside the rest of the text, by triples of letters and punctuation.
        In a trial on newspaper and book prose it asked about 3 of 10 stretches that another writer
        had put in, and about 1 in 40 of the writer’s own. So it is a question, and no evidence of
        anything: a quotation, a list or a change of subject looks the same.
      </p>
      {stretches === null ? <p className="pt-4">Reading…</p> : null}
      {stretches?.length === 0 ? (
        <p className="pt-4">The text is too short: at least 1,250 words are needed to tell.</p>
      ) : null}
      {stretches && stretches.length > 0 ? (
        <>
          <svg
            className="mt-4 h-28 w-full"
            preserveAspectRatio="none"
            viewBox={`0 0 ${stretches.length * 10} 100`}
            role="img"
            aria-label="How unlike the rest each stretch is; the table beneath has the figures"
          >
            <line
              x1="0"
              x2={stretches.length * 10}
              y1="50"
              y2="50"
              className="stroke-faint"
              strokeDasharray="4 4"
              vectorEffect="non-scaling-stroke"
            />
            {stretches.map(({ from, unlike, isUnlike }, index) => {
              const height = (100 * Math.min(HIGHEST, Math.max(0.1, unlike))) / HIGHEST;
              return (
                <rect
                  key={from}
                  x={index * 10 + 1}
                  width="8"
                  y={100 - height}
                  height={height}
                  className={isUnlike ? "fill-pen" : "fill-rule"}
                />
              );
            })}
          </svg>
          <p className="text-[13px] text-soft">
            The dashed line is three times what is usual in this text.
          </p>
          <table className="mt-4 w-full text-left text-[13px]">
            <thead className="text-xs text-soft">
              <tr className="border-b border-rule">
                <th className="py-1 pr-4 font-semibold">Begins</th>
                <th className="pr-4 text-right font-semibold">Unlike the rest</th>
                <th className="pr-4 text-right font-semibold">Words a sentence</th>
                <th className="pr-4 font-semibold">Is this your own voice?</th>
              </tr>
            </thead>
            <tbody>
              {(asked.length > 0 ? asked : stretches.slice(0, 1)).map((stretch) => (
                <tr key={stretch.from} className="border-b border-hair align-baseline">
                  <td className="py-1.5 pr-4">
                    <button
                      type="button"
                      className="button-text text-left font-book text-[15px]"
                      onClick={() => onSee(stretch)}
                    >
                      {text.slice(stretch.from, stretch.from + 70)}…
                    </button>
                  </td>
                  <td className="pr-4 text-right">{stretch.unlike.toFixed(1)}</td>
                  <td className="pr-4 text-right">{stretch.sentenceWords.toFixed(1)}</td>
                  <td className="pr-4 text-soft">{questionOf(stretch)}</td>
                </tr>
              ))}
            </tbody>
          </table>
          <p className="mt-2 text-[13px] text-soft">
            {asked.length === 0
              ? `Nothing is unlike the rest in ${figure(stretches.length)} stretches; the first is shown.`
              : `${figure(asked.length)} of ${figure(stretches.length)} stretches are asked about.`}
          </p>
        </>
      ) : null}
    </div>
  );
}

function questionOf({ isUnlike, isUniform }: VoiceStretch): string {
  if (isUnlike && isUniform) return "Unlike the rest, and its sentences are all alike.";
  if (isUnlike) return "It reads unlike the rest. A quotation, another subject, another hand?";
  if (isUniform) return "Its sentences are of one length and begin alike. Is that meant?";
  return "As the rest.";
}
