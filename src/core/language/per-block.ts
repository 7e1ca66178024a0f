import type { AnalysedBlock } from "./analysis.ts";

/** Works something out once for each block, however many checks ask for it. */
export function oncePerBlock<Asked extends unknown[], T>(
  make: (block: AnalysedBlock, ...asked: Asked) => T,
): (block: AnalysedBlock, ...asked: Asked) => T {
  const known = new WeakMap<AnalysedBlock, { made: T }>();
  return (block, ...asked) => {
    const found = known.get(block);
    if (found) return found.made;
    const made = make(block, ...asked);
    known.set(block, { made });
    return made;
  };
}
