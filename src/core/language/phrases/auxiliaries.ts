/** Forms of "have" and "be" as units have them, clitics included. */
export const HAVE: ReadonlySet<string> = new Set("have has had having 've".split(" "));
export const BE: ReadonlySet<string> = new Set(
  "be am is are was were been being 'm 're".split(" "),
);
