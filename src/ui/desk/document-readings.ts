import type { CountPlace, PlaceQuery } from "../../core/readings/places.ts";
import type { Scope } from "../../core/readings/scope.ts";
import type { DeskCore } from "./desk-core.ts";

/** How the document reads: asked of the worker when it is wanted, never while one types. */
export class DocumentReadings {
  private asked = 0;

  constructor(private readonly core: DeskCore) {}

  /** Has the readings made of the text as it stands, with these parts counted. */
  async refresh(scope: Scope = this.core.state.scope): Promise<void> {
    const asked = ++this.asked;
    this.core.publish({ scope });
    const readings = await this.answer(() => this.core.worker.readings(scope));
    if (asked !== this.asked || readings === null) return;
    this.core.publish({ readings });
    this.core.shelf.note();
  }

  /** The places behind a count; none while the worker has nothing to tell. */
  async places(query: PlaceQuery): Promise<readonly CountPlace[]> {
    const { scope } = this.core.state;
    return (await this.answer(() => this.core.worker.places(scope, query))) ?? [];
  }

  private async answer<T>(ask: () => Promise<T | null>): Promise<T | null> {
    try {
      return await ask();
    } catch (error) {
      void this.core.checking.afterFailure(error);
      return null;
    }
  }
}
