/** Why something could not be kept, as a sentence for the person whose work it is. */
export class NotKept extends Error {
  constructor(readonly sentence: string) {
    super(sentence);
    this.name = "NotKept";
  }
}

/** Runs a write and turns the browser's refusal into a sentence. Throws NotKept. */
export async function keep<T>(write: () => Promise<T>): Promise<T> {
  try {
    return await write();
  } catch (error) {
    if (error instanceof Error && error.name === "StorageCleared") throw error;
    const name = error instanceof Error ? error.name : "";
    if (name === "QuotaExceededError") {
      throw new NotKept(
        "The browser’s storage is full, so this could not be kept. Export the document now, then delete others from the shelf.",
      );
    }
    throw new NotKept(
      "The browser could not write this down, so it is not kept. Export the document now, before closing this page.",
    );
  }
}
