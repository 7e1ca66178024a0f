/** The subject lists that ship; each counts for the documents it is switched on for. */
export const SUBJECTS = [
  { id: "medicine", title: "Medicine", note: "diseases, drugs, procedures, anatomy" },
  { id: "law", title: "Law", note: "offences, proceedings, terms of courts" },
  { id: "sciences", title: "Sciences", note: "chemistry, physics, geology, names of species" },
  { id: "computing", title: "Computing", note: "software, networks, programming" },
  { id: "geography", title: "Geography", note: "towns, waters, landforms" },
] as const;
export type Subject = (typeof SUBJECTS)[number]["id"];

export function isSubject(id: string): id is Subject {
  return SUBJECTS.some((subject) => subject.id === id);
}
