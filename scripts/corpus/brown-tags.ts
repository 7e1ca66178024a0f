import type { Tag } from "../../src/core/language/tags/tags.ts";

/** How the tags of the Brown corpus and their combinations map to the tagger's. */
const FOLDED: Partial<Record<Tag, string>> = {
  DT: "at dt dti dts dtx abx",
  PDT: "abn abl",
  JJ: "ap od jj",
  JJR: "jjr",
  JJS: "jjs jjt",
  RB: "ql qlp rb rn",
  RBR: "rbr",
  RBS: "rbt",
  RP: "rp",
  NN: "nr nn",
  NNS: "nrs nns",
  NNP: "np",
  NNPS: "nps",
  VB: "vb be do hv",
  VBD: "vbd bedz bed dod hvd",
  VBG: "vbg beg hvg",
  VBN: "vbn ben hvn",
  VBZ: "vbz bez doz hvz",
  VBP: "ber bem",
  MD: "md",
  PPS: "pps",
  PPSS: "ppss",
  PPO: "ppo",
  PPL: "ppl ppls",
  PN: "pn pp$$",
  PRP$: "pp$",
  WP$: "wp$",
  WDT: "wdt",
  WP: "wpo wps",
  WRB: "wql wrb",
  CC: "cc",
  CS: "cs",
  IN: "in",
  TO: "to",
  EX: "ex",
  UH: "uh",
  CD: "cd",
  NOT: "*",
  ".": ".",
  ",": ",",
  ":": ": --",
  BR: "( )",
  QT: "`` '' '",
};

const BY_BROWN = new Map<string, Tag>();
for (const [tag, list] of Object.entries(FOLDED)) {
  for (const brown of list.split(" ")) BY_BROWN.set(brown, tag as Tag);
}

const PROPER_IN_TITLES = new Set<Tag>(["NN", "JJ", "VBN", "VBG", "VB"]);

/** The tag of one part of a Brown token, or FW for what the manual marks as foreign or not a word. */
export function foldTag(brown: string, form: string): Tag {
  if (brown.startsWith("fw-")) return "FW";
  const inTitle = brown.includes("-tl");
  const base = brown.replace(/-(?:tl|hl|nc)(?=-|$)/g, "") || "--";
  const tag = BY_BROWN.get(base);
  if (!tag) return "FW";
  if (!/^[A-Z]/.test(form)) return tag;
  if (base === "nr") return "NNP";
  if (inTitle && PROPER_IN_TITLES.has(tag)) return "NNP";
  if (inTitle && tag === "NNS") return "NNPS";
  return tag;
}

/** A Brown token as the parts that carry a tag each: "don't/do*" is "do" and "n't". */
export function splitToken(form: string, brown: string): { form: string; tag: Tag }[] {
  const plain = brown.replace(/-(?:tl|hl|nc)(?=-|$)/g, "");
  const suffix = brown.slice(plain.length);
  const whole = [{ form, tag: foldTag(brown, form) }];
  if (brown.startsWith("fw-")) return whole;
  const parts = (pattern: RegExp, first: string, second: string): typeof whole => {
    const match = pattern.exec(form);
    if (!match) return [{ form, tag: foldTag(first + suffix, form) }];
    const [, head = "", tail = ""] = match;
    return [
      { form: head, tag: foldTag(first + suffix, head) },
      { form: tail, tag: second === "POS" ? "POS" : foldTag(second, tail) },
    ];
  };
  if (plain.endsWith("*") && plain !== "*") {
    const cut = /^cannot$/i.test(form) ? /^(can)(not)$/i : /^(.+)(n't)$/i;
    return parts(cut, plain.slice(0, -1), "*");
  }
  if (plain.includes("+")) {
    const [first = "", second = ""] = plain.split("+");
    return parts(/^(.+?)('(?:s|ll|d|ve|re|m))$/i, first, second);
  }
  if (plain.endsWith("$") && !["pp$", "pp$$", "wp$"].includes(plain)) {
    return parts(/^(.+?)('s|')$/i, plain.slice(0, -1), "POS");
  }
  return whole;
}
