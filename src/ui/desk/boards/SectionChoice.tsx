interface SectionChoiceProps {
  /** Titles by section; empty ones are no choice. */
  titles: readonly string[];
  /** The title chosen; empty for any. */
  section: string;
  onChoose: (section: string) => void;
}

/** Narrows what a board shows to one section. */
export function SectionChoice({ titles, section, onChoose }: SectionChoiceProps) {
  return (
    <select
      aria-label="In which section"
      className="max-w-44 border-b border-dotted border-faint bg-transparent"
      value={section}
      onChange={({ target }) => {
        onChoose(target.value);
        // The keys belong to the board again.
        target.blur();
      }}
    >
      <option value="">in any section</option>
      {[...new Set(titles.filter(Boolean))].map((title) => (
        <option key={title} value={title}>
          {title}
        </option>
      ))}
    </select>
  );
}
