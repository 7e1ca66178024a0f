import type { EntryRule } from "./rule.ts";

/** Whether the place of a publisher is named. */
export const publisherPlace: EntryRule = ({ fields }, { style }) => {
  const { place, publisher } = fields;
  if (style.place || !place || !publisher || place.text.split(/\s/).length > 5) return [];
  const reason = `${style.name} leaves out the place of a publisher.`;
  return [
    {
      from: place.from,
      to: place.to,
      reason,
      edits: [{ from: place.from, to: publisher.from, insert: "" }],
    },
  ];
};
