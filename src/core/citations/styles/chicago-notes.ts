import { chicagoAuthorDate } from "./chicago-author-date.ts";
import type { CitationStyle } from "./style.ts";

/** Notes and bibliography of the seventeenth edition of the manual (2017). */
export const chicagoNotes: CitationStyle = {
  ...chicagoAuthorDate,
  id: "chicago-notes",
  name: "Chicago, 17th edition, notes",
  source: "the published style file “chicago-note-bibliography.csl”",
  inText: { ...chicagoAuthorDate.inText, system: "notes", afterName: ", " },
  year: "end",
  afterYear: " ",
  periodical: {
    withIssue: " volume, no. issue",
    withoutIssue: " volume",
    beforePages: ": ",
    pageLabels: ["", ""],
  },
};
