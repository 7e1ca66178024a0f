import { type DeskState, OPENING } from "./state.ts";

/** The desk's state for whoever draws it: immutable, replaced by every change. */
export class DeskStore {
  private current: DeskState = OPENING;
  private readonly listeners = new Set<() => void>();

  getSnapshot = (): DeskState => this.current;

  subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  publish(changes: Partial<DeskState>): void {
    this.current = { ...this.current, ...changes };
    for (const listener of this.listeners) listener();
  }
}
