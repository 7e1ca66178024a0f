declare module "@citation-js/core" {
  export class Cite {
    constructor(data: string);
    /** Records as CSL-JSON, version 1.0. */
    data: Record<string, unknown>[];
  }
  export const plugins: {
    config: { get(name: string): { parse: Record<string, unknown> } };
  };
}
declare module "@citation-js/plugin-bibtex";
declare module "@citation-js/plugin-ris";
