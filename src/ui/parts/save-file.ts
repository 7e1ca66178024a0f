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
