/**
 * Dictionary files come in the encoding that the .aff names after SET: UTF-8, or an 8-bit one under
 * the names that hunspell(5) lists.
 */
const OTHER_NAMES: Record<string, string> = {
  "microsoft-cp1251": "windows-1251",
  "tis620-2533": "windows-874",
};

/** The texts of a dictionary's two files. Throws RangeError for an encoding that nobody knows. */
export function decodeDictionary(aff: Uint8Array, dic: Uint8Array): { aff: string; dic: string } {
  const head = new TextDecoder("latin1").decode(aff.subarray(0, 4000));
  const named = /^\s*SET\s+(\S+)/m.exec(head)?.[1]?.toLowerCase();
  const label = named ? (OTHER_NAMES[named] ?? named.replace(/^iso8859/, "iso-8859")) : null;
  // Without SET the format's default is ISO 8859-1; a file that is good UTF-8 is taken for that.
  const decoder = label ? decoderOf(label) : null;
  const decode = (bytes: Uint8Array) => {
    if (decoder) return decoder.decode(bytes);
    try {
      return new TextDecoder("utf-8", { fatal: true }).decode(bytes);
    } catch {
      return new TextDecoder("iso-8859-1").decode(bytes);
    }
  };
  return { aff: decode(aff), dic: decode(dic) };
}

function decoderOf(label: string): TextDecoder {
  try {
    return new TextDecoder(label);
  } catch {
    throw new RangeError(`The dictionary is in the encoding ${label}, which can’t be read here.`);
  }
}
