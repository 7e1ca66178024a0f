import { wordHash } from "./words.ts";

/**
 * The frame of a text: its function words where they stand, and one sign for every other word. Who
 * replaces each noun, verb and adjective by another leaves the frame as it was. Closed classes of
 * English words, common practice.
 */
const FUNCTION_WORDS = `
a an the this that these those such same other another each every either neither both all any some no
none many much more most few fewer less least several own enough
i me my mine myself we us our ours ourselves you your yours yourself he him his himself she her hers
herself it its itself they them their theirs themselves one who whom whose which what whatever whoever
anyone anything everyone everything someone something nobody nothing
and or but nor so yet for because although though while whereas since unless until till if whether than
as when whenever where wherever why how
of in on at by to from with without within into onto upon over under above below between among through
throughout during before after behind beyond beside besides along across around about against toward
towards off out up down near per via despite except like unlike
be am is are was were been being have has had having do does did doing will would shall should can could
may might must ought not cannot dont doesnt didnt isnt arent wasnt werent wont wouldnt cant couldnt
there here then thus hence therefore however moreover also too only even still again ever never always
often sometimes very quite rather just almost already soon now once else instead
`;

const FUNCTION_HASHES = new Set(FUNCTION_WORDS.trim().split(/\s+/).map(wordHash));

/** What stands for every other word. */
const OTHER_WORD = 1;

/** The frame of a text by the hashes of its words: as long as the text. */
export function frameOf(words: Uint32Array): Uint32Array {
  return words.map((hash) => (FUNCTION_HASHES.has(hash) ? hash : OTHER_WORD));
}

/** Whether a word of a frame is a function word. */
export function isFunctionWord(hash: number): boolean {
  return hash !== OTHER_WORD && FUNCTION_HASHES.has(hash);
}
