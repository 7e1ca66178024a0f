import type { ReportPart } from "../../core/report/parts.ts";

/** Hands a file to the browser's downloads. */
export function saveFile(bytes: Uint8Array, name: string): void {
  const address = URL.createObjectURL(
    new Blob([bytes.slice()], { type: "application/octet-stream" }),
  );
  const link = document.createElement("a");
  link.href = address;
  link.download = name;
  link.click();
  // The download has its own reference by the next task; the address must outlive this one.
  setTimeout(() => URL.revokeObjectURL(address), 10_000);
}

/** Hands a text to the browser's downloads. */
export function saveText(text: string, name: string): void {
  saveFile(new TextEncoder().encode(text), name);
}

/** The same of parts that are read and printed, as a Word-processing document; what makes it is fetched when asked for. */
export async function saveDocx(
  title: string,
  parts: readonly ReportPart[],
  name: string,
): Promise<void> {
  const { reportDocx } = await import("../../core/report/docx.ts");
  saveFile(await reportDocx(title, parts), name);
}
