/** The name, as a link home. */
export function Brand() {
  return (
    <a href="/" className="font-book text-[17px] font-semibold tracking-tight">
      Dry <i className="font-normal">Run</i>
    </a>
  );
}
