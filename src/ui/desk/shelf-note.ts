import { updateRecord } from "../../store/shelf.ts";
import type { DeskCore } from "./desk-core.ts";
import { runOf } from "./state.ts";

/** Tells the shelf where the reader is and what is open; while one note is written the next waits. */
export class ShelfNote {
  private stale = false;
  private noting: Promise<unknown> | null = null;

  constructor(private readonly core: DeskCore) {}

  note(): void {
    this.stale = true;
    this.noting ??= this.core.keeper.guard(async () => {
      try {
        while (this.stale) {
          this.stale = false;
          await this.write();
        }
      } finally {
        this.noting = null;
      }
    });
  }

  /** Throws NotKept. */
  async write(): Promise<void> {
    const { state } = this.core;
    const { reading, pass, phase } = state;
    if (reading || phase === "opening" || phase === "missing") return;
    const run = runOf(state);
    const place = Math.max(0, this.core.place());
    await updateRecord(this.core.id, { place, pass, ...(run ? { run } : {}) });
  }
}
