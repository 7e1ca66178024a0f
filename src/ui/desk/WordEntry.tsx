import { ArrowLeft, ArrowLeftToLine } from "lucide-react";
import { useEffect, useState } from "react";
import type {
  WordEntry as Entry,
  PartOfSpeech,
  Relation,
  Sense,
} from "../../core/language/meanings/word-net.ts";
import type { AboutWord } from "../../worker/proofreader.ts";
import { count } from "../parts/words.ts";
import type { DeskSession } from "./session.ts";
import { useSlice } from "./use-slice.ts";
import { fetchEntry } from "./word-entries.ts";

const PARTS: Record<PartOfSpeech, string> = {
  noun: "noun",
  verb: "verb",
  adj: "adjective",
  adv: "adverb",
};

const RELATION_LABELS: Record<Relation, string> = {
  opposite: "opposite",
  similar: "near in meaning",
  broader: "a kind of",
  narrower: "kinds of it",
  part: "its parts",
  whole: "part of",
  derived: "of the same root",
  subject: "subject",
};

const FORM_LABELS: Record<AboutWord["forms"][number]["forms"][number]["inflection"], string> = {
  NNS: "plural",
  VBZ: "he, she, it",
  VBD: "past",
  VBN: "past participle",
  VBG: "-ing",
  JJR: "more",
  JJS: "most",
  RBR: "more",
  RBS: "most",
};

interface Loaded {
  entries: Entry[];
  about: AboutWord;
}

/** Meanings, examples, synonyms, related words, forms and sound of the word at hand. */
export function WordEntry({ session }: { session: DeskSession }) {
  // The word at hand is told by these.
  useSlice(session, "subject", "choices", "previewed");
  const word = session.wordAtHand();
  const [path, setPath] = useState<string[]>([]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: the path begins anew at each word
  useEffect(() => setPath([]), [word?.word]);
  const shown = path.at(-1) ?? word?.word;
  const { loaded, failed } = useEntry(session, shown);
  if (!word || shown === undefined) {
    return (
      <p className="text-soft">
        Open a mark or select a word, and its meanings, synonyms and sound are here.
      </p>
    );
  }
  return (
    <article aria-label={`Word entry: ${shown}`}>
      <header className="flex items-baseline gap-2">
        {path.length > 0 ? (
          <button
            type="button"
            className="self-center text-soft"
            onClick={() => setPath(path.slice(0, -1))}
            aria-label={`Back to ${path.at(-2) ?? word.word}`}
          >
            <ArrowLeft size={16} aria-hidden="true" />
          </button>
        ) : null}
        <h2 className="font-book text-xl font-semibold">{shown}</h2>
        {loaded ? (
          <span className="text-[13px] text-soft">{count(loaded.about.syllables, "syllable")}</span>
        ) : null}
      </header>
      <Sound session={session} word={shown} />
      {failed ? (
        <p className="pt-3 text-soft">
          The meanings can’t be reached just now. Everything else on the desk works without them.
        </p>
      ) : null}
      {loaded && loaded.entries.length === 0 ? (
        <p className="pt-3 text-soft">No entry for “{shown}”.</p>
      ) : null}
      {loaded?.entries.map((entry) => (
        <Senses
          key={entry.word}
          entry={entry}
          titled={entry.word !== shown.toLowerCase()}
          forms={loaded.about.forms.find(({ base }) => base === entry.word)?.forms ?? []}
          follow={(next) => setPath([...path, next])}
          putIn={(synonym, part) => void session.putIn(synonym, part)}
        />
      ))}
    </article>
  );
}

function useEntry(session: DeskSession, word: string | undefined) {
  const [loaded, setLoaded] = useState<Loaded | null>(null);
  const [failed, setFailed] = useState(false);
  useEffect(() => {
    let current = true;
    setLoaded(null);
    setFailed(false);
    if (word === undefined) return;
    const load = async () => {
      const about = await session.aboutWord(word);
      const found = await Promise.all(about.bases.map(fetchEntry));
      if (current) setLoaded({ about, entries: found.filter(({ senses }) => senses.length > 0) });
    };
    load().catch(() => {
      if (current) setFailed(true);
    });
    return () => {
      current = false;
    };
  }, [session, word]);
  return { loaded, failed };
}

function Sound({ session, word }: { session: DeskSession; word: string }) {
  const state = useSlice(session, "speaking", "voiceless");
  const button = (label: string, what: "word" | "letters" | "sentence" | "onward") => (
    <button
      type="button"
      className="button-text text-[13px] whitespace-nowrap"
      onClick={() => void session.readAloud(what, word)}
    >
      {label}
    </button>
  );
  return (
    <div className="border-b border-hair pt-1.5 pb-2.5">
      <p className="flex flex-wrap items-baseline gap-x-3.5 gap-y-1 text-[13px] text-soft">
        <span>Read aloud:</span>
        {button("word", "word")}
        {button("letters", "letters")}
        {button("sentence", "sentence")}
        {button("from here on", "onward")}
        {state.speaking ? (
          <button type="button" className="font-semibold" onClick={() => session.stopReading()}>
            stop
          </button>
        ) : null}
      </p>
      {state.voiceless ? (
        <p role="status" className="pt-1.5 text-[13px] text-soft">
          {state.voiceless}
        </p>
      ) : null}
    </div>
  );
}

interface SensesProps {
  entry: Entry;
  /** The entry is of another word than the one asked for: its base form. */
  titled: boolean;
  forms: AboutWord["forms"][number]["forms"];
  follow: (word: string) => void;
  putIn: (synonym: string, part: PartOfSpeech) => void;
}

function Senses({ entry, titled, forms, follow, putIn }: SensesProps) {
  const [all, setAll] = useState(false);
  const shown = all ? entry.senses : entry.senses.slice(0, FIRST_SENSES);
  return (
    <section className="pt-3">
      {titled ? <h3 className="font-book text-base font-semibold">{entry.word}</h3> : null}
      <ol>
        {shown.map((sense, index) => (
          <SenseItem
            // biome-ignore lint/suspicious/noArrayIndexKey: senses keep their order
            key={index}
            sense={sense}
            opens={entry.senses[index - 1]?.part !== sense.part}
            number={index + 1}
            follow={follow}
            putIn={putIn}
          />
        ))}
      </ol>
      {entry.senses.length > shown.length ? (
        <button type="button" className="button-text text-[13px]" onClick={() => setAll(true)}>
          {count(entry.senses.length - shown.length, "more meaning")}
        </button>
      ) : null}
      {forms.length > 0 ? (
        <p className="pt-2 text-[13px] text-soft">
          Forms:{" "}
          {forms.map(({ inflection, form }, index) => (
            <span key={form}>
              {index > 0 ? ", " : ""}
              <span className="font-book text-[15px] text-ink">{form}</span>{" "}
              {FORM_LABELS[inflection]}
            </span>
          ))}
        </p>
      ) : null}
    </section>
  );
}

const FIRST_SENSES = 4;
const MOST_RELATED = 8;

function SenseItem({
  sense,
  opens,
  number,
  follow,
  putIn,
}: {
  sense: Sense;
  opens: boolean;
  number: number;
  follow: (word: string) => void;
  putIn: (synonym: string, part: PartOfSpeech) => void;
}) {
  return (
    <li className="border-t border-hair py-2 first:border-t-0">
      {opens ? <p className="pb-1 text-xs font-semibold text-soft">{PARTS[sense.part]}</p> : null}
      <p className="font-book text-[15px] leading-snug">
        <span className="font-plain text-[13px] text-soft">{number} </span>
        {sense.definition}
      </p>
      {sense.examples.slice(0, 2).map((example) => (
        <p key={example} className="pt-0.5 font-book text-[15px] leading-snug text-soft italic">
          {example}
        </p>
      ))}
      {sense.synonyms.length > 0 ? (
        <p className="flex flex-wrap gap-x-3 gap-y-1 pt-1">
          {sense.synonyms.map((synonym) => (
            <span key={synonym} className="inline-flex items-center gap-1">
              <button
                type="button"
                className="font-book text-[15px] underline decoration-faint underline-offset-3"
                onClick={() => follow(synonym)}
              >
                {synonym}
              </button>
              <button
                type="button"
                className="text-soft hover:text-ink"
                aria-label={`Put “${synonym}” into the text`}
                title="Put it into the text"
                onClick={() => putIn(synonym, sense.part)}
              >
                <ArrowLeftToLine size={14} aria-hidden="true" />
              </button>
            </span>
          ))}
        </p>
      ) : null}
      {sense.related.map(({ relation, words }) => (
        <p key={relation} className="pt-0.5 text-[13px] text-soft">
          {RELATION_LABELS[relation]}:{" "}
          {words.slice(0, MOST_RELATED).map((word, index) => (
            <span key={word}>
              <span className="whitespace-nowrap">
                <button
                  type="button"
                  className="underline decoration-faint underline-offset-3"
                  onClick={() => follow(word)}
                >
                  {word}
                </button>
                {index < Math.min(words.length, MOST_RELATED) - 1 ? "," : ""}
              </span>{" "}
            </span>
          ))}
        </p>
      ))}
    </li>
  );
}
