declare module "@citation-js/core" {
  export class Cite {
    constructor(data: string);
    data: import("../../test/support/csl.ts").CslItem[];
  }
  export const plugins: {
    config: { get(name: string): { parse: Record<string, unknown> } };
  };
}
declare module "@citation-js/plugin-bibtex";
