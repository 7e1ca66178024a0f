import { useEffect, useState } from "react";

export type Theme = "light" | "dark";

const YEAR_SECONDS = 31_536_000;

/** The theme on screen and a switch for it; the choice is a cookie, so that pages arrive in it. */
export function useTheme(): [Theme, () => void] {
  const [theme, setTheme] = useState<Theme>("light");
  useEffect(() => {
    const chosen = document.documentElement.dataset["theme"];
    const system = matchMedia("(prefers-color-scheme: dark)").matches ? "dark" : "light";
    setTheme(chosen === "dark" || chosen === "light" ? chosen : system);
  }, []);
  const change = () => {
    const next = theme === "dark" ? "light" : "dark";
    document.documentElement.dataset["theme"] = next;
    // biome-ignore lint/suspicious/noDocumentCookie: the Cookie Store API is not in every browser
    document.cookie = `theme=${next}; path=/; max-age=${YEAR_SECONDS}; samesite=strict`;
    setTheme(next);
  };
  return [theme, change];
}
