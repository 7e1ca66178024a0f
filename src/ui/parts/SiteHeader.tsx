import { Brand } from "./Brand.tsx";
import { ThemeSwitch } from "./ThemeSwitch.tsx";

const PAGES = [
  { href: "/", title: "Shelf" },
  { href: "/house", title: "House style" },
  { href: "/sources", title: "Sources" },
  { href: "/ledger", title: "Ledger" },
  { href: "/guide", title: "Guide" },
] as const;

/** The head of every page but the desk. */
export function SiteHeader({
  here,
}: {
  here: (typeof PAGES)[number]["href"] | "/report" | "/sheet" | "/versions" | "/set";
}) {
  return (
    <header className="no-print flex h-11 items-center gap-5.5 border-b border-rule px-8">
      <Brand />
      <nav aria-label="Pages" className="flex gap-5.5">
        {PAGES.map(({ href, title }) => (
          <a
            key={href}
            href={href}
            className={href === here ? "font-semibold" : "text-soft hover:text-ink"}
            aria-current={href === here ? "page" : undefined}
          >
            {title}
          </a>
        ))}
      </nav>
      <span className="grow" />
      <ThemeSwitch />
      <span className="text-soft">Kept on this computer</span>
    </header>
  );
}
