/** Strokes of five and what they take, in pixels. */
const STEP = 5;
const HEIGHT = 15;
const BUNDLE = 5;
const GAP = 7;
/** More are told by the figure beside them. */
const MOST = 60;

/** A number as strokes, four and one across them: quick to compare by eye. */
export function Tally({ count }: { count: number }) {
  const shown = Math.min(count, MOST);
  const x = (at: number) => 2 + at * STEP + Math.floor(at / BUNDLE) * GAP;
  const width = shown === 0 ? 1 : x(shown - 1) + STEP;
  return (
    <svg width={width} height={HEIGHT} className="stroke-ink" aria-hidden="true">
      {Array.from({ length: shown }, (_, at) =>
        at % BUNDLE === BUNDLE - 1 ? (
          <path key={x(at)} d={`M${x(at - 4) - 3} 12L${x(at - 1) + 3} 3`} strokeWidth="1.4" />
        ) : (
          <path key={x(at)} d={`M${x(at)} 1V14`} strokeWidth="1.4" />
        ),
      )}
    </svg>
  );
}
