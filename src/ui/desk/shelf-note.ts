import { updateRecord } from "../../store/shelf.ts";
import type { Keeper } from "./keeper.ts";
import { type DeskState, runOf } from "./state.ts";

/** What the shelf is told of. */
interface Noted {
  readonly id: string;
  readonly keeper: Keeper;
  readonly state: DeskState;
  place(): number;
}

/** Tells the shelf where the reader is and what is open; while one note is written the next waits. */
export class ShelfNote {
  private stale = false;
  private noting: Promise<unknown> | null = null;

  constructor(private readonly desk: Noted) {}

  note(): void {
    this.stale = true;
    this.noting ??= this.desk.keeper.guard(async () => {
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
    const { state } = this.desk;
    const { reading, pass, phase } = state;
    if (reading || phase === "opening" || phase === "missing") return;
    const run = runOf(state);
    const place = Math.max(0, this.desk.place());
    await updateRecord(this.desk.id, { place, pass, ...(run ? { run } : {}) });
  }
}
