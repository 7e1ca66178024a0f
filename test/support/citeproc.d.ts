declare module "citeproc" {
  interface System {
    retrieveLocale(lang: string): string;
    retrieveItem(id: string): unknown;
  }
  interface Cited {
    id: string;
    locator?: string;
    label?: string;
    "author-only"?: number;
    "suppress-author"?: number;
  }
  class Engine {
    constructor(system: System, style: string, lang: string);
    updateItems(ids: string[]): void;
    makeBibliography(): [{ entry_ids: string[][] }, string[]];
    makeCitationCluster(cited: Cited[]): string;
    setOutputFormat(format: "text" | "html"): void;
  }
  export default { Engine };
}
