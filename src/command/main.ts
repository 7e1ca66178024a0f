import { runCarry } from "./carry.ts";
import { runCheck } from "./check.ts";
import { runExport } from "./export.ts";
import { runAbbreviations, runQuantities } from "./gathered.ts";
import { runLines } from "./lines.ts";
import { UsageError } from "./options.ts";
import { runOverlap } from "./overlap.ts";
import { runReadings } from "./readings.ts";
import { runReferenceList, runReferences } from "./references.ts";
import { runReport } from "./report.ts";
import { runWords } from "./words.ts";

const USAGE = `Usage: dry-run COMMAND [OPTIONS] [FILE...]

  check [--variety en-US|en-GB] [--kind KIND] [--passes spelling,grammar,wording,sentences,consistency,citations] [--house STYLE.json,...] [--json] [--fail] FILE...
      the marks of each file, for people or one JSON object a file
  lines [--variety V] [--kind K] [--passes P] [--sources DIR|FILE.jsonl] [--index FILE]
      JSON Lines in {id, text, variety?, kind?}, JSON Lines out {id, marks}, with groups and quantities
      where the consistency pass is asked for, and with what the text shares with sources
  abbreviations [--json] FILE...
      the abbreviations of each file: expansions, places, what is wrong with them
  quantities [--json] FILE...
      the quantities of each file: value, unit, kind of quantity
  words [--variety V]
      a word a line in, JSON Lines out {word, known, corrections}
  export --take first|none --as tracked|clean|txt|md [--variety V] [--kind K] [--passes P]
         [--author NAME] --out-dir DIR FILE...
      each document with the first choice of every mark of weight fix taken, or none
  readings [--json] [--with PARTS] [--without PARTS] FILE...
      how each file reads: counts, measures, sections; PARTS: headings,tables,references,code,quotations
  references [--style ID] [--json] FILE...
      the citations and the entries of each file, how they are tied, and what is marked
      ID: apa-6, apa-7, mla-9, chicago-author-date, chicago-notes, harvard, vancouver, ieee, ama-11
  reference-list
      JSON Lines in {id, style, entries:[text], italics?}, JSON Lines out {id, entries:[{fields, marks}], marks}
  overlap --sources DIR|FILE.jsonl [--index FILE] [--json] FILE...
      what each file shares with sources, a folder of documents or rows {id, text}; the index is read
      from FILE where it is of these sources, and otherwise made and written there
  carry [--json] OLD NEW
      JSON Lines in {id, from, to}, places in OLD’s text; out the same places in NEW’s, or nulls
  report --as html|docx|csv|json [--variety V] [--kind K] --out-dir DIR FILE...
      what is found in each file and how it reads, as a file

Without --variety it is guessed from the text; where nothing tells, en-US.
Exit: 0 done, 1 marks of weight fix found (check --fail), 2 bad input or usage.
`;

/** Runs one command; the returned number is the exit status. */
async function main(argv: readonly string[]): Promise<number> {
  const [command, ...rest] = argv;
  switch (command) {
    case "check":
      return runCheck(rest);
    case "lines":
      return runLines(rest);
    case "words":
      return runWords(rest);
    case "abbreviations":
      return runAbbreviations(rest);
    case "quantities":
      return runQuantities(rest);
    case "readings":
      return runReadings(rest);
    case "references":
      return runReferences(rest);
    case "reference-list":
      return runReferenceList(rest);
    case "overlap":
      return runOverlap(rest);
    case "report":
      return runReport(rest);
    case "carry":
      return runCarry(rest);
    case "export":
      return runExport(rest);
    case "--help":
    case "help":
      process.stdout.write(USAGE);
      return 0;
    default:
      throw new UsageError(command ? `There is no command “${command}”.` : "Name a command.");
  }
}

try {
  process.exitCode = await main(process.argv.slice(2));
} catch (error) {
  if (!(error instanceof UsageError)) throw error;
  process.stderr.write(`${error.message}\n\n${USAGE}`);
  process.exitCode = 2;
}
