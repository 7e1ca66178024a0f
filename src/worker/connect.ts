import { type Remote, wrap } from "comlink";
import type { Proofreader } from "./proofreader.ts";

export type ProofreaderLink = Remote<Proofreader>;

/** Starts a proofreader in a worker of its own. */
export function connectProofreader(): ProofreaderLink {
  const worker = new Worker(new URL("./proofreader.ts", import.meta.url), { type: "module" });
  return wrap<Proofreader>(worker);
}
