import { strFromU8, strToU8, unzipSync, zipSync } from "fflate";

/**
 * Accepts or rejects one author's tracked changes by cutting the XML as text, and packs the result
 * with another zip library: nothing here is shared with the writer under test.
 */
export function resolveChanges(
  bytes: Uint8Array,
  author: string,
  take: "accept" | "reject",
): Uint8Array {
  const files = unzipSync(bytes);
  for (const [name, data] of Object.entries(files)) {
    if (!/word\/.*\.xml$|^document\.xml$/.test(name) && !name.endsWith(".xml")) continue;
    let xml = strFromU8(data);
    if (!xml.includes(author)) continue;
    const wrapped = (local: string) =>
      new RegExp(
        `<((?:\\w+:)?)${local} [^>]*author="${author}"[^>]*>([\\s\\S]*?)</\\1${local}>`,
        "g",
      );
    xml = xml.replace(wrapped("ins"), take === "accept" ? "$2" : "");
    xml = xml.replace(wrapped("del"), (_all, _prefix: string, inner: string) =>
      take === "accept" ? "" : inner.replace(/delText/g, "t"),
    );
    const [going, staying] = take === "accept" ? ["moveFrom", "moveTo"] : ["moveTo", "moveFrom"];
    const gone = new RegExp(`<(?:\\w+:)?${going} [^>]*author="${author}"[^>]*/>`);
    xml = xml
      .replace(/<((?:\w+:)?)p(?=[\s>])(?:(?!<\/\1p>)[\s\S])*<\/\1p>/g, (one) =>
        gone.test(one) ? "" : one,
      )
      .replace(new RegExp(`<(?:\\w+:)?${staying} [^>]*author="${author}"[^>]*/>`, "g"), "")
      .replace(wrapped(staying ?? ""), "$2");
    files[name] = strToU8(xml);
  }
  return zipSync(files);
}
