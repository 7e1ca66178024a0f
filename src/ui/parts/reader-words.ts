import { type Bounds, READERS, type Reader, readerOf } from "../../core/readings/readers.ts";

/** A reader by its setting, as screens name it; bounds of one's own by themselves. */
export function readerLabel(setting: string): string {
  return (
    READERS.find(({ id }) => id === setting)?.title ?? boundsLabel(readerOf(setting, "general"))
  );
}

/** "8 to 25 words a sentence, up to grade 9". */
export function boundsLabel({ shortest, longest, grade }: Bounds): string {
  return `${shortest} to ${longest} words a sentence, up to grade ${grade}`;
}

/** A reader's name, or its bounds where it has none. */
export function nameOf(reader: Bounds & Partial<Reader>): string {
  return reader.title ?? boundsLabel(reader);
}
