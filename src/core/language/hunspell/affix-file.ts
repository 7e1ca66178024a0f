import { type Condition, parseCondition } from "./condition.ts";
import { type FlagForm, FlagReader, type Flags, NO_FLAGS } from "./flags.ts";

/** One line of a PFX or SFX rule. */
export interface Affix {
  flag: number;
  /** Whether it may stand together with an affix of the other kind. */
  crosses: boolean;
  /** What is taken off the stem, and what is put there. */
  strip: string;
  append: string;
  condition: Condition;
  /** Flags of the affix itself: what may follow it, and where it may stand. */
  continuation: Flags;
}

/** Two parts of a compound that must not meet, or meet in another form (CHECKCOMPOUNDPATTERN). */
export interface CompoundPattern {
  endsWith: string;
  endFlag: number;
  beginsWith: string;
  beginFlag: number;
  replacement: string;
}

/** A rewriting (REP, ICONV, OCONV), where `^` and `$` bind it to the word's ends. */
export interface Rewriting {
  from: string;
  to: string;
  atStart: boolean;
  atEnd: boolean;
}

/** A rule by which a word sounds (PHONE). */
export interface PhoneRule {
  pattern: string;
  sound: string;
}

/** Everything an .aff file says, by the names its manual page gives. Flags are 0 where absent. */
export interface AffixFile {
  language: string;
  reader: FlagReader;
  prefixes: Affix[];
  suffixes: Affix[];
  needAffix: number;
  forbiddenWord: number;
  keepCase: number;
  circumfix: number;
  onlyInCompound: number;
  noSuggest: number;
  warn: number;
  forbidWarn: boolean;
  compoundFlag: number;
  compoundBegin: number;
  compoundMiddle: number;
  compoundEnd: number;
  compoundRoot: number;
  compoundPermit: number;
  compoundForbid: number;
  forceUpperCase: number;
  compoundMinimum: number;
  /** 0 where there is no limit. */
  compoundWordMaximum: number;
  compoundSyllables: { maximum: number; vowels: string } | null;
  syllableNumberFlags: string;
  compoundMoreSuffixes: boolean;
  compoundRules: ReturnType<FlagReader["pattern"]>[];
  checkCompoundDup: boolean;
  checkCompoundRep: boolean;
  checkCompoundCase: boolean;
  checkCompoundTriple: boolean;
  simplifiedTriple: boolean;
  compoundPatterns: CompoundPattern[];
  breaks: string[];
  inputConversions: Rewriting[];
  outputConversions: Rewriting[];
  ignore: string;
  replacements: Rewriting[];
  related: string[][];
  phone: PhoneRule[];
  wordCharacters: string;
  checkSharpS: boolean;
  fullStrip: boolean;
}

const DEFAULT_BREAKS = ["-", "^-", "-$"];
const DEFAULT_COMPOUND_MINIMUM = 3;

/** Reads an .aff file's text. Lines it does not know are passed over, as the format asks. */
export function parseAffixFile(text: string): AffixFile {
  const lines = text.replace(/^\ufeff/, "").split(/\r?\n/);
  const file = emptyFile(new FlagReader(flagForm(text)));
  const state: ReadingState = { file, headers: new Map(), breaksGiven: false, morphAliases: false };
  for (const line of lines) {
    const fields = line.split(/\s+/).filter((field) => field !== "");
    const [keyword, ...rest] = fields;
    if (keyword && !keyword.startsWith("#")) readLine(state, keyword, rest);
  }
  if (!state.breaksGiven) file.breaks = [...DEFAULT_BREAKS];
  return file;
}

/** A flag is a byte unless said otherwise, and every character is one byte outside UTF-8. */
function flagForm(text: string): FlagForm {
  const declared = /^FLAG\s+(\S+)/m.exec(text)?.[1];
  if (declared === "long" || declared === "num") return declared;
  const utf8 = /^SET\s+UTF-?8/im.test(text);
  return declared === "UTF-8" || !utf8 ? "character" : "byte";
}

function emptyFile(reader: FlagReader): AffixFile {
  return {
    language: "",
    reader,
    prefixes: [],
    suffixes: [],
    needAffix: 0,
    forbiddenWord: 0,
    keepCase: 0,
    circumfix: 0,
    onlyInCompound: 0,
    noSuggest: 0,
    warn: 0,
    forbidWarn: false,
    compoundFlag: 0,
    compoundBegin: 0,
    compoundMiddle: 0,
    compoundEnd: 0,
    compoundRoot: 0,
    compoundPermit: 0,
    compoundForbid: 0,
    forceUpperCase: 0,
    compoundMinimum: DEFAULT_COMPOUND_MINIMUM,
    compoundWordMaximum: 0,
    compoundSyllables: null,
    syllableNumberFlags: "",
    compoundMoreSuffixes: false,
    compoundRules: [],
    checkCompoundDup: false,
    checkCompoundRep: false,
    checkCompoundCase: false,
    checkCompoundTriple: false,
    simplifiedTriple: false,
    compoundPatterns: [],
    breaks: [],
    inputConversions: [],
    outputConversions: [],
    ignore: "",
    replacements: [],
    related: [],
    phone: [],
    wordCharacters: "",
    checkSharpS: false,
    fullStrip: false,
  };
}

interface ReadingState {
  file: AffixFile;
  /** Affix headers seen, by kind and flag, with whether they cross. */
  headers: Map<string, boolean>;
  breaksGiven: boolean;
  /** The first AF and AM lines give only how many follow. */
  morphAliases: boolean;
  aliasesBegun?: boolean;
}

/** Keywords that name a flag, with the property it fills. */
const FLAG_KEYWORDS: Record<string, keyof AffixFile> = {
  NEEDAFFIX: "needAffix",
  PSEUDOROOT: "needAffix",
  ONLYROOT: "needAffix",
  FORBIDDENWORD: "forbiddenWord",
  KEEPCASE: "keepCase",
  CIRCUMFIX: "circumfix",
  ONLYINCOMPOUND: "onlyInCompound",
  NOSUGGEST: "noSuggest",
  WARN: "warn",
  COMPOUNDFLAG: "compoundFlag",
  COMPOUNDBEGIN: "compoundBegin",
  COMPOUNDFIRST: "compoundBegin",
  COMPOUNDMIDDLE: "compoundMiddle",
  COMPOUNDEND: "compoundEnd",
  COMPOUNDLAST: "compoundEnd",
  COMPOUNDROOT: "compoundRoot",
  COMPOUNDPERMITFLAG: "compoundPermit",
  COMPOUNDFORBIDFLAG: "compoundForbid",
  FORCEUCASE: "forceUpperCase",
};

const SWITCHES: Record<string, keyof AffixFile> = {
  FORBIDWARN: "forbidWarn",
  COMPOUNDMORESUFFIXES: "compoundMoreSuffixes",
  CHECKCOMPOUNDDUP: "checkCompoundDup",
  CHECKCOMPOUNDREP: "checkCompoundRep",
  CHECKCOMPOUNDCASE: "checkCompoundCase",
  CHECKCOMPOUNDTRIPLE: "checkCompoundTriple",
  SIMPLIFIEDTRIPLE: "simplifiedTriple",
  CHECKSHARPS: "checkSharpS",
  FULLSTRIP: "fullStrip",
};

function readLine(state: ReadingState, keyword: string, fields: string[]): void {
  const { file } = state;
  const flagProperty = FLAG_KEYWORDS[keyword];
  const first = fields[0] ?? "";
  if (flagProperty) {
    Object.assign(file, { [flagProperty]: file.reader.one(first) });
    return;
  }
  const switchProperty = SWITCHES[keyword];
  if (switchProperty) {
    Object.assign(file, { [switchProperty]: true });
    return;
  }
  READERS[keyword]?.(state, fields, first);
}

type LineReader = (state: ReadingState, fields: string[], first: string) => void;

/** A count line ("REP 91") opens each of these tables and says nothing of its own. */
function isCount(fields: string[]): boolean {
  return fields.length === 1 && /^\d+$/.test(fields[0] ?? "");
}

const READERS: Record<string, LineReader> = {
  LANG: ({ file }, _, first) => {
    file.language = first;
  },
  PFX: (state, fields) => readAffix(state, "PFX", fields),
  SFX: (state, fields) => readAffix(state, "SFX", fields),
  AF: (state, _, first) => {
    if (state.aliasesBegun) state.file.reader.addAlias(first);
    state.aliasesBegun = true;
  },
  COMPOUNDMIN: ({ file }, _, first) => {
    file.compoundMinimum = Math.max(1, Number(first) || 1);
  },
  COMPOUNDWORDMAX: ({ file }, _, first) => {
    file.compoundWordMaximum = Number(first) || 0;
  },
  COMPOUNDSYLLABLE: ({ file }, fields, first) => {
    file.compoundSyllables = { maximum: Number(first) || 0, vowels: fields[1] ?? "aeiouAEIOU" };
  },
  SYLLABLENUM: ({ file }, _, first) => {
    file.syllableNumberFlags = first;
  },
  COMPOUNDRULE: ({ file }, fields, first) => {
    if (!isCount(fields)) file.compoundRules.push(file.reader.pattern(first));
  },
  CHECKCOMPOUNDPATTERN: ({ file }, fields, first) => {
    if (isCount(fields)) return;
    const [endsWith = "", endFlag] = first.split("/");
    const [beginsWith = "", beginFlag] = (fields[1] ?? "").split("/");
    file.compoundPatterns.push({
      endsWith: endsWith === "0" ? "" : endsWith,
      endFlag: endFlag ? file.reader.one(endFlag) : 0,
      beginsWith,
      beginFlag: beginFlag ? file.reader.one(beginFlag) : 0,
      replacement: fields[2] ?? "",
    });
  },
  BREAK: (state, fields, first) => {
    state.breaksGiven = true;
    if (!isCount(fields)) state.file.breaks.push(first);
  },
  ICONV: ({ file }, fields) => readRewriting(file.inputConversions, fields),
  OCONV: ({ file }, fields) => readRewriting(file.outputConversions, fields),
  REP: ({ file }, fields) => readRewriting(file.replacements, fields),
  IGNORE: ({ file }, _, first) => {
    file.ignore = first;
  },
  MAP: ({ file }, fields, first) => {
    if (isCount(fields)) return;
    file.related.push(
      [...first.matchAll(/\(([^)]*)\)|(.)/gu)].map((one) => one[1] ?? one[2] ?? ""),
    );
  },
  PHONE: ({ file }, fields, first) => {
    if (!isCount(fields)) file.phone.push({ pattern: first, sound: fields[1] ?? "_" });
  },
  WORDCHARS: ({ file }, _, first) => {
    file.wordCharacters = first;
  },
};

function readRewriting(table: Rewriting[], fields: string[]): void {
  if (isCount(fields)) return;
  const [pattern = "", replacement = ""] = fields;
  table.push({
    from: pattern
      .replace(/^\^/, "")
      .replace(/(?<=.)\$$/, "")
      .replaceAll("_", " "),
    to: replacement.replaceAll("_", " "),
    atStart: pattern.startsWith("^"),
    atEnd: pattern.length > 1 && pattern.endsWith("$"),
  });
}

function readAffix({ file, headers }: ReadingState, kind: "PFX" | "SFX", fields: string[]): void {
  const [flagWritten = "", second = "", third = ""] = fields;
  const key = `${kind} ${flagWritten}`;
  const crosses = headers.get(key);
  if (crosses === undefined) {
    headers.set(key, second === "Y");
    return;
  }
  const slash = third.indexOf("/");
  const append = slash < 0 ? third : third.slice(0, slash);
  const affix: Affix = {
    flag: file.reader.one(flagWritten),
    crosses,
    strip: second === "0" ? "" : second,
    append: append === "0" ? "" : without(append, file.ignore),
    condition: parseCondition(fields[3] ?? "."),
    continuation: slash < 0 ? NO_FLAGS : file.reader.read(third.slice(slash + 1)),
  };
  (kind === "PFX" ? file.prefixes : file.suffixes).push(affix);
}

/** A text without some characters. */
export function without(text: string, characters: string): string {
  if (characters === "") return text;
  return [...text].filter((one) => !characters.includes(one)).join("");
}
