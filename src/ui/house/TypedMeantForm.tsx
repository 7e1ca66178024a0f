import { type ReactNode, useState } from "react";

interface Props {
  /** What stands between the two fields. */
  between: ReactNode;
  /** How wide a field is, as a class. */
  width: string;
  /** Adds a pair, or says in a sentence why not. */
  add(typed: string, meant: string): string | null;
}

/** Two fields for what is typed and what is meant, emptied once the pair is taken. */
export function TypedMeantForm({ between, width, add }: Props) {
  const [typed, setTyped] = useState("");
  const [meant, setMeant] = useState("");
  const [said, setSaid] = useState("");
  const submit = () => {
    const wrong = add(typed, meant);
    setSaid(wrong ?? "");
    if (wrong !== null) return;
    setTyped("");
    setMeant("");
  };
  return (
    <form
      className="mt-5 flex items-end gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        submit();
      }}
    >
      <Field label="Typed" width={width} value={typed} set={setTyped} />
      {between}
      <Field label="Meant" width={width} value={meant} set={setMeant} />
      <button type="submit" className="button-plain">
        Add
      </button>
      <span role="status" className="pb-1.5 text-[13px] text-soft">
        {said}
      </span>
    </form>
  );
}

interface FieldProps {
  label: string;
  width: string;
  value: string;
  set(value: string): void;
}

function Field({ label, width, value, set }: FieldProps) {
  return (
    <label>
      <span className="block pb-1 text-[13px] text-soft">{label}</span>
      <input
        className={`field ${width}`}
        value={value}
        onChange={(event) => set(event.target.value)}
      />
    </label>
  );
}
