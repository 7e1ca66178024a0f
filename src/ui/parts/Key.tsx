/** A key as it is written on buttons. */
export function Key({ children }: { children: string }) {
  return <kbd className="key">{children}</kbd>;
}
