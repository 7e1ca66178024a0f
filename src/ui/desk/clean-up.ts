import type { Cleanup } from "../../core/cleanup/cleanup.ts";
import { layeredCleanup, rulesOf } from "../../core/house/layers.ts";
import type { Edit } from "../../core/manuscript/model.ts";
import type { Deciding } from "./deciding.ts";
import type { DeskCore } from "./desk-core.ts";

/** The mechanical clean-up of the document: what it would change, and making it as one decision. */
export class CleanUp {
  constructor(
    private readonly core: DeskCore,
    private readonly deciding: Deciding,
  ) {}

  /** What there is to clean up in the text as it stands; null while the worker has nothing to tell. */
  async find(): Promise<Cleanup | null> {
    const { houses, style } = this.core.state;
    const layers = [...houses, style];
    const { text } = this.core.copy;
    const edits = this.core.copy.editsSoFar();
    try {
      const wanted = layeredCleanup(layers);
      const found = await this.core.worker.cleanUp(edits, rulesOf(layers), wanted);
      return this.core.copy.text === text ? found : null;
    } catch (error) {
      void this.core.checking.afterFailure(error);
      return null;
    }
  }

  /** Makes the changes as one decision. */
  async make(edits: readonly Edit[]): Promise<void> {
    await this.deciding.act(() => ({
      act: "correct",
      scope: "everywhere",
      marks: [],
      edits: [...edits],
      note: "clean-up",
    }));
  }
}
