/** A key as it is labelled on a keyboard; hidden, it keeps its room, so that nothing beside it moves. */
export function Key({ children, hidden = false }: { children: string; hidden?: boolean }) {
  return <kbd className={hidden ? "key invisible" : "key"}>{children}</kbd>;
}
