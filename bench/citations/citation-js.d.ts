declare module "@citation-js/core" {
  export class Cite {
    constructor(data: string);
    data: import("./records.ts").CslItem[];
  }
  export const plugins: {
    config: { get(name: string): { parse: Record<string, unknown> } };
  };
}
declare module "@citation-js/plugin-bibtex";
