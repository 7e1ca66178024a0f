interface SearchFieldProps {
  /** What is looked for, said to everyone. */
  label: string;
  value: string;
  onChange: (value: string) => void;
}

/** A field in which a list is narrowed down. */
export function SearchField({ label, value, onChange }: SearchFieldProps) {
  return (
    <label>
      <span className="sr-only">{label}</span>
      <input
        type="search"
        className="w-52 border-b border-faint bg-transparent py-1.5"
        placeholder={label}
        value={value}
        onChange={(event) => onChange(event.target.value)}
      />
    </label>
  );
}
