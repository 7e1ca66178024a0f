import { OVERRIDE_POINTS } from "../../core/citations/styles/overrides.ts";
import { STYLES } from "../../core/citations/styles/styles.ts";
import type { HouseStyle } from "../../core/house/style.ts";
import type { ChangeStyle } from "./change-style.ts";

interface Props {
  style: HouseStyle;
  change: ChangeStyle;
}

/** The style of citations that the house wants, and the points in which it differs from that style. */
export function CitationsPart({ style, change }: Props) {
  const { citations } = style;
  const setPoint = (id: string, value: string) =>
    change((now) => {
      const { [id]: _own, ...others } = now.citations.overrides;
      const overrides = value === "" ? others : { ...others, [id]: value };
      return { ...now, citations: { ...now.citations, overrides } };
    });
  return (
    <>
      <h1 className="font-book text-[28px] leading-tight font-semibold">Citations</h1>
      <p className="mt-1 max-w-[66ch] text-soft">
        The style that lists and citations follow, and where the house differs from it. A document
        may still name a style of its own.
      </p>
      <label className="mt-5 flex items-baseline gap-4">
        <span className="w-80">Style</span>
        <select
          className="field w-72"
          value={citations.style ?? ""}
          onChange={({ target: { value } }) =>
            change((now) => {
              const { style: _own, ...others } = now.citations;
              return {
                ...now,
                citations: value === "" ? others : { ...others, style: value },
              };
            })
          }
        >
          <option value="">the one each list is written in</option>
          {STYLES.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </select>
      </label>
      <h2 className="mt-7 border-b border-rule pb-1.5 font-semibold">Where the house differs</h2>
      <ul>
        {OVERRIDE_POINTS.map(({ id, title, choices }) => (
          <li key={id} className="border-b border-hair py-2">
            <label className="flex items-baseline gap-4">
              <span className="w-80">{title}</span>
              <select
                className="field w-72"
                value={citations.overrides[id] ?? ""}
                onChange={({ target: { value } }) => setPoint(id, value)}
              >
                <option value="">as the style has it</option>
                {choices.map(({ value, label }) => (
                  <option key={value} value={value}>
                    {label}
                  </option>
                ))}
              </select>
            </label>
          </li>
        ))}
      </ul>
    </>
  );
}
