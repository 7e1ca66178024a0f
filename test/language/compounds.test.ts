import assert from "node:assert/strict";
import { describe, test } from "node:test";
import { hunspellVerdicts } from "../../scripts/corpus/hunspell-command.ts";
import { HunspellDictionary } from "../../src/core/language/hunspell/dictionary.ts";
import { seeded } from "../support/random.ts";

/**
 * Compounds by the rules of small dictionaries, each with the options of one paragraph of the manual
 * page hunspell(5), held against the hunspell command on every way to join their parts.
 */
const PARTS = ["ebb", "tide", "gauge", "ross", "sea", "arm", "eel"];

interface Case {
  name: string;
  aff: string;
  stems: string[];
  /** Words to ask about beside all joins of two and three parts. */
  also?: string[];
}

const CASES: Case[] = [
  {
    name: "parts that may only begin, stand between or end",
    aff: "COMPOUNDMIN 3\nCOMPOUNDBEGIN B\nCOMPOUNDMIDDLE M\nCOMPOUNDEND E",
    stems: ["ebb/B", "tide/M", "gauge/E", "sea/BME", "arm", "ross/ME"],
  },
  {
    name: "three equal letters where parts meet, and their short form",
    aff: "COMPOUNDMIN 3\nCOMPOUNDFLAG C\nCHECKCOMPOUNDTRIPLE\nSIMPLIFIEDTRIPLE",
    stems: ["ross/C", "sea/C", "ebb/C", "eel/C", "gauge/C"],
    also: ["rossea", "rosssea", "ebbbell"],
  },
  {
    name: "a limit on the number of parts",
    aff: "COMPOUNDMIN 3\nCOMPOUNDFLAG C\nCOMPOUNDWORDMAX 2",
    stems: ["ebb/C", "tide/C", "gauge/C", "arm/C"],
  },
  {
    name: "parts that are the same, and capitals where parts meet",
    aff: "COMPOUNDMIN 3\nCOMPOUNDFLAG C\nCHECKCOMPOUNDDUP\nCHECKCOMPOUNDCASE",
    stems: ["ebb/C", "Tide/C", "gauge/C", "sea/C"],
    also: ["ebbTide", "Tideebb", "seaTide", "TideTide"],
  },
  {
    name: "letters that may not meet",
    aff: "COMPOUNDMIN 3\nCOMPOUNDFLAG C\nCHECKCOMPOUNDPATTERN 2\nCHECKCOMPOUNDPATTERN e g\nCHECKCOMPOUNDPATTERN b t",
    stems: ["ebb/C", "tide/C", "gauge/C", "sea/C", "arm/C"],
  },
  {
    name: "letters that give way to others where parts meet",
    aff: "COMPOUNDMIN 3\nCOMPOUNDFLAG C\nCHECKCOMPOUNDPATTERN 1\nCHECKCOMPOUNDPATTERN e a o",
    stems: ["tide/C", "arm/C", "ebb/C"],
    also: ["tidorm", "tidearm", "ebborm"],
  },
  {
    name: "compounds that are a plain word with a typical slip",
    aff: "COMPOUNDMIN 3\nCOMPOUNDFLAG C\nCHECKCOMPOUNDREP\nREP 1\nREP bt t",
    stems: ["ebb/C", "tide/C", "ebtide", "ebbide", "sea/C"],
  },
  {
    name: "suffixes inside a compound only where they are permitted",
    aff: "COMPOUNDMIN 3\nCOMPOUNDFLAG C\nCOMPOUNDPERMITFLAG P\nSFX S Y 1\nSFX S 0 s/P .\nSFX N Y 1\nSFX N 0 n .",
    stems: ["ebb/CS", "tide/CN", "gauge/C", "arm/CSN"],
    also: ["ebbsgauge", "tidengauge", "armsebb", "armnebb", "gaugeebbs", "gaugetiden"],
  },
  {
    name: "suffixes that no compound may have",
    aff: "COMPOUNDMIN 3\nCOMPOUNDFLAG C\nCOMPOUNDFORBIDFLAG F\nSFX S Y 1\nSFX S 0 s/F .\nSFX N Y 1\nSFX N 0 n .",
    stems: ["ebb/CS", "tide/CN", "gauge/C"],
    also: ["gaugeebbs", "gaugetiden", "ebbs", "tiden"],
  },
  {
    name: "prefixes at the beginning",
    aff: "COMPOUNDMIN 3\nCOMPOUNDFLAG C\nPFX U Y 1\nPFX U 0 un .",
    stems: ["ebb/CU", "tide/C", "gauge/CU"],
    also: ["unebbtide", "ebbungauge", "ungaugeebb", "unebb"],
  },
  {
    name: "a last part that must have a capital",
    aff: "COMPOUNDMIN 3\nCOMPOUNDFLAG C\nFORCEUCASE U",
    stems: ["ebb/C", "tide/CU", "gauge/C"],
    also: ["Ebbtide", "EBBTIDE", "ebbtide", "Gaugeebb"],
  },
  {
    name: "forbidden compounds, and stems that need an affix",
    aff: "COMPOUNDMIN 3\nCOMPOUNDFLAG C\nFORBIDDENWORD F\nNEEDAFFIX X\nSFX S Y 1\nSFX S 0 s .",
    stems: ["ebb/C", "tide/C", "ebbtide/F", "gauge/CXS", "sea/C"],
    also: ["gauges", "gauge", "ebbgauges"],
  },
  {
    name: "rules of parts that follow each other",
    aff: "COMPOUNDMIN 3\nCOMPOUNDRULE 2\nCOMPOUNDRULE AB*C\nCOMPOUNDRULE AD?",
    stems: ["ebb/A", "tide/B", "gauge/C", "sea/D", "arm/AD"],
  },
];

/** All joins of two parts, and some of three. */
function joins(also: readonly string[]): string[] {
  const next = seeded(7);
  const part = () => PARTS[Math.floor(next() * PARTS.length)] ?? "";
  const words = new Set([...PARTS, ...also]);
  for (const one of PARTS) for (const other of PARTS) words.add(one + other);
  for (let count = 0; count < 120; count++) {
    words.add(part() + part() + part());
  }
  return [...words];
}

describe("compounds, beside the hunspell command", () => {
  for (const { name, aff, stems, also = [] } of CASES) {
    test(name, () => {
      const asked = joins(also);
      const dic = `${stems.length}\n${stems.join("\n")}\n`;
      const whole = `SET UTF-8\n${aff}\n`;
      const answers = hunspellVerdicts({ aff: Buffer.from(whole), dic: Buffer.from(dic) }, asked);
      assert.ok(answers, "install the package hunspell");
      const ours = new HunspellDictionary(whole, dic);
      assert.deepEqual(
        asked.filter((word) => ours.accepts(word)),
        asked.filter((_, index) => answers[index]),
      );
      assert.ok(answers.includes(true) && answers.includes(false));
    });
  }
});
