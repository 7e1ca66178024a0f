import { loadLanguage } from "../../src/command/checking.ts";
import { Engine } from "../../src/core/engine/engine.ts";
import { readMd } from "../../src/core/formats/md/format.ts";
import { gatherAbbreviations } from "../../src/core/gathered/abbreviations.ts";
import { type LearnedDocument, learnRules } from "../../src/core/house/learn.ts";

/** A rule of the known style: the form it should be learned as, and sentences in it and against it. */
interface Known {
  of: string;
  form: string;
  right: readonly string[];
  wrong: string;
}

const known = (of: string, form: string, wrong: string, ...right: string[]): Known => ({
  of: `consistency/${of}`,
  form,
  right,
  wrong,
});

/** The style that the documents are written to. */
const STYLE: readonly Known[] = [
  known(
    "percent:percent",
    "5 per cent",
    "Silt rose by 7% there.",
    "Silt rose by 12 per cent that year.",
    "Some 30 per cent of the logs were wet.",
    "The loss was 4 per cent in all.",
  ),
  known(
    "date:date",
    "12 March",
    "It froze on March 4, 2031.",
    "The float sank on 14 June 2030.",
    "They came back on 3 May 2031 and stayed.",
    "A surge came on 27 August 2029.",
  ),
  known(
    "time:am and pm",
    "3 pm",
    "The gate opens at 4pm.",
    "The tide turned at 3 pm and rose.",
    "He came at 9 am with oil.",
    "They left at 11 am on the ebb.",
  ),
  known(
    "number:two to nine",
    "in words",
    "They saw 4 boats there.",
    "They saw three boats in the bay.",
    "The station has seven keepers now.",
    "Five gulls sat on the wall.",
  ),
  known(
    "number:eleven to ninety-nine",
    "in figures",
    "They counted fourteen boats there.",
    "They counted 14 boats at dusk.",
    "The log has 60 pages left.",
    "There were 25 readings in all.",
  ),
  known(
    "thousands:four figures",
    "1,000",
    "It holds 4500 litres in all.",
    "It holds 4,500 litres of water.",
    "They took 2,300 readings then.",
    "The wall has 1,200 stones.",
  ),
  known(
    "thousands:five figures and more",
    "10,000",
    "Some 45000 readings were lost.",
    "Some 45,000 readings were kept.",
    "The basin holds 120,000 litres.",
    "They logged 31,000 waves.",
  ),
  known(
    "decimal:nought before the point",
    "0.5",
    "The error was .4 mm then.",
    "The error was 0.4 mm at most.",
    "A drop of 0.7 mm was seen.",
    "It moved by 0.2 mm a day.",
  ),
  known(
    "range:dash",
    "12–18",
    "It took 4-6 days then.",
    "It took 12–18 days to dry.",
    "The depth is 3–5 m there.",
    "See the logs of 1981–1986.",
  ),
  known(
    "unit-space:symbols",
    "5 mm",
    "A 6mm bolt broke.",
    "A 12 mm bolt held the frame.",
    "The pipe is 40 mm wide.",
    "It rose by 15 cm at springs.",
  ),
  known(
    "unit-space:degrees",
    "5 °C",
    "It was 4°C there.",
    "It was 12 °C in the well.",
    "The oil froze at 3 °C.",
    "It warmed to 21 °C by noon.",
  ),
  known(
    "currency:GBP",
    "£5",
    "The float cost 40 pounds.",
    "The float cost £40 in all.",
    "They paid £15 for oil.",
    "A rope costs £120 now.",
  ),
  known(
    "currency:millions",
    "5 million",
    "The wall cost £5m then.",
    "The wall cost £5 million to mend.",
    "A grant of £3 million came.",
    "They asked for £12 million.",
  ),
  known(
    "era:century",
    "nineteenth century",
    "In the 18th century it fell.",
    "In the nineteenth century it was rebuilt.",
    "A map of the eighteenth century shows it.",
    "It stood through the twentieth century.",
  ),
  known(
    "era:decade",
    "1980s",
    "In the ’70s it was dry.",
    "In the 1980s it was dredged.",
    "The logs of the 1970s are lost.",
    "It was painted in the 1990s.",
  ),
  known(
    "quotation-marks:quotation marks",
    "‘…’",
    "He called it “the old well” then.",
    "He called it ‘the old well’ in his log.",
    "They say ‘turn of the tide’ for it.",
    "She wrote ‘all well’ each night.",
  ),
  known(
    "dash:dash",
    "a – b",
    "The pier—the old one—fell.",
    "The pier – the old one – was wet.",
    "They left – as ever – at dawn.",
    "One gauge – the third – froze.",
  ),
  known(
    "ellipsis:points of omission",
    "…",
    "And then... nothing came.",
    "And then … nothing at all.",
    "He waited … and went.",
    "It rose … and fell.",
  ),
  known(
    "serial-comma:comma before the last",
    "a, b, and c",
    "Oil, rope and chain came.",
    "They bought oil, rope, and chain.",
    "The log has times, heights, and names.",
    "Gulls, terns, and gannets nest there.",
  ),
  known(
    "spelling:-ise or -ize",
    "-ise",
    "They organize the stores.",
    "They organise the stores each spring.",
    "The readings were standardised then.",
    "He recognised the boat.",
  ),
  known(
    "contraction:contractions",
    "is not",
    "It isn’t dry there.",
    "It is not dry in winter.",
    "They do not read it at night.",
    "The gate was not shut.",
  ),
  known(
    "possessive:owners in s",
    "James’s",
    "It was James’ lamp.",
    "It was James’s turn at the gauge.",
    "They used Thomas’s boat.",
    "Agnes’s log is there.",
  ),
  known(
    "label:figure in the text",
    "Figure",
    "As fig. 3 shows, it froze.",
    "The curve in Figure 3 is smooth.",
    "It is drawn in Figure 5 below.",
    "Compare the dip in Figure 7.",
  ),
  known(
    "compound:dataset",
    "dataset",
    "The data set was lost.",
    "The dataset was copied twice.",
    "Each dataset has a header.",
    "They sent the dataset north.",
  ),
  known(
    "compound:stillingwell",
    "stilling-well",
    "The stilling well froze.",
    "The stilling-well was cleared of silt.",
    "Weed grew in the stilling-well.",
    "A stilling-well damps the waves.",
  ),
  known(
    "capitals:harbour board",
    "Harbour Board",
    "The harbour board met.",
    "The Harbour Board met at noon.",
    "They wrote to the Harbour Board twice.",
    "Only the Harbour Board may shut it.",
  ),
  known("heading-case:*", "First word only", "", ""),
  known("list-end:*", "nothing", "", ""),
  known("list-capital:*", "small letter", "", ""),
  known(
    "caption:end of captions of figures",
    "no full stop",
    "Figure 9. The pier at dusk.",
    "Figure 1. The gauge house at noon",
    "Figure 2. The float in its well",
    "Figure 4. The drum with its chart",
  ),
];
/** Explained in each document. */
const ABBREVIATIONS = [
  ["TGO", "Tide Gauge Office"],
  ["SLS", "Sea Level Service"],
] as const;
const FILLER = [
  "The keeper writes the height in the log and signs beneath it.",
  "A wire leads from the float to the drum, and a pen draws the curve.",
  "Whoever relieves the watch reads the last page first.",
  "The paper is changed when the drum has turned once.",
  "Nothing is altered in the log after it has been signed.",
  "When the wind backs, the swell comes round the head and the curve is rough.",
];

/** Learns from twenty documents written to a known style, with a slip against it now and then. */
export function benchLearn(): void {
  const language = loadLanguage();
  const next = random(7);
  const documents: LearnedDocument[] = [];
  for (let number = 0; number < 20; number++) {
    const manuscript = readMd(new TextEncoder().encode(written(next)), `${number}.md`);
    const engine = new Engine(manuscript, language, {
      variety: "en-GB",
      kind: "report",
      appetites: {},
      words: [],
    });
    for (const _done of engine.examineAll(["consistency"]));
    const abbreviations = gatherAbbreviations(engine.gathering()).map((row) => ({
      short: row.abbreviation,
      full: row.expansions[0] ?? "",
      uses: row.places.length,
    }));
    documents.push({ title: String(number), forms: engine.formCounts(), abbreviations });
  }
  const proposals = learnRules(documents, "2031-01-01");
  const isOf = ({ of, form }: Known) =>
    proposals.some(({ rule }) => {
      if (rule.type === "form") return rule.of === of && rule.form === form;
      return "write" in rule && rule.write === form;
    });
  const missed = STYLE.filter((one) => !isOf(one));
  const short = ABBREVIATIONS.filter(
    ([abbreviation]) =>
      !proposals.some(({ rule }) => rule.type === "abbreviation" && rule.short === abbreviation),
  );
  const all = STYLE.length + ABBREVIATIONS.length;
  const found = all - missed.length - short.length;
  const others = proposals.filter(({ rule, about }) => {
    if (rule.type === "abbreviation") return !ABBREVIATIONS.some(([one]) => one === about);
    if (rule.type === "form")
      return !STYLE.some(({ of, form }) => of === rule.of && form === rule.form);
    return !STYLE.some(({ form }) => "write" in rule && form === rule.write);
  });
  const wrong = others.filter(
    ({ rule }) => rule.type === "form" && STYLE.some(({ of }) => of === rule.of),
  );
  console.log(
    `learned from 20 documents: ${found} of ${all} rules (${((100 * found) / all).toFixed(0)}%); ` +
      `${proposals.length} proposals, ${wrong.length} against the style, ${others.length} that it does not speak of`,
  );
  if (process.env.SHOW) {
    for (const { of, form } of missed) console.log(`  missed ${of}: ${form}`);
    for (const [one] of short) console.log(`  missed ${one}`);
    for (const { about, family, places, against } of others) {
      console.log(
        `  beside: ${family}: ${about} ×${places} ${against.map(({ form, count }) => `${form} ×${count}`)}`,
      );
    }
  }
}

function written(next: () => number): string {
  const pick = <T>(all: readonly T[]) => all[Math.floor(next() * all.length)];
  const lines = [`# Notes from the gauge house`, ""];
  for (const heading of ["What was read", "How it was kept", "Stores and repairs"]) {
    lines.push(`## ${heading}`, "");
    for (let paragraph = 0; paragraph < 4; paragraph++) {
      const sentences: string[] = [];
      for (let sentence = 0; sentence < 6; sentence++) {
        const rule = pick(STYLE);
        const own = next() < 0.03 && rule?.wrong ? rule.wrong : pick(rule?.right ?? []);
        const isCaption = rule?.of.includes("caption");
        if (own && isCaption) lines.push(own, "");
        else sentences.push(own || (pick(FILLER) ?? ""));
      }
      lines.push(sentences.filter((one) => one !== "").join(" "), "");
    }
    lines.push(
      "The stores are:",
      "",
      "- oil for the lamp",
      "- rope of two kinds",
      "- paper for the drum",
      "",
    );
    const [short, full] = pick(ABBREVIATIONS) ?? ["", ""];
    lines.push(
      `The ${full} (${short}) asks for it. The ${short} files it, and the ${short} answers.`,
      "",
    );
  }
  return lines.join("\n");
}

function random(seed: number): () => number {
  let state = seed;
  return () => {
    state = (Math.imul(state, 1664525) + 1013904223) | 0;
    return (state >>> 0) / 4294967296;
  };
}
