/** How often each form of a thing stands. Most things have one form, and take no more room than that. */

export interface FormCount {
  /** Places that may change, and places that keep their form. */
  own: number;
  kept: number;
  /** Of `own`, by role. */
  roles?: Record<string, number>;
}

/** The forms of a thing with their counts. */
export type FormCounts = Pick<
  ReadonlyMap<string, FormCount>,
  "get" | "size" | "keys" | "values" | typeof Symbol.iterator
>;

/** Counts that change: one form by itself, others in a map once there are some. */
export class FormTally implements FormCounts {
  private form: string | null = null;
  private count: FormCount = NONE;
  private more: Map<string, FormCount> | null = null;

  get size(): number {
    return this.more?.size ?? (this.form === null ? 0 : 1);
  }

  get(form: string): FormCount | undefined {
    if (this.more) return this.more.get(form);
    return this.form === form ? this.count : undefined;
  }

  keys(): MapIterator<string> {
    return this.whole().keys();
  }

  values(): MapIterator<FormCount> {
    return this.whole().values();
  }

  [Symbol.iterator](): MapIterator<[string, FormCount]> {
    return this.whole()[Symbol.iterator]();
  }

  /** Counts a place in, or out again. */
  add(form: string, isKept: boolean, role: string | undefined, by: 1 | -1): void {
    let known = this.get(form);
    if (!known) {
      known = { own: 0, kept: 0 };
      this.set(form, known);
    }
    if (isKept) known.kept += by;
    else known.own += by;
    if (role !== undefined && !isKept) {
      known.roles ??= {};
      known.roles[role] = (known.roles[role] ?? 0) + by;
    }
    if (known.own === 0 && known.kept === 0) this.delete(form);
  }

  private set(form: string, count: FormCount): void {
    if (this.more) this.more.set(form, count);
    else if (this.form === null) {
      this.form = form;
      this.count = count;
    } else {
      this.more = new Map([
        [this.form, this.count],
        [form, count],
      ]);
    }
  }

  private delete(form: string): void {
    if (this.more) this.more.delete(form);
    else {
      this.form = null;
      this.count = NONE;
    }
  }

  private whole(): Map<string, FormCount> {
    return this.more ?? new Map(this.form === null ? [] : [[this.form, this.count]]);
  }
}

const NONE: FormCount = { own: 0, kept: 0 };
