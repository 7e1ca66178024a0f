import { useTheme } from "./theme.ts";

/** Changes between the light and the dark theme. */
export function ThemeSwitch() {
  const [theme, change] = useTheme();
  return (
    <button type="button" className="text-soft" onClick={change}>
      {theme === "dark" ? "Light" : "Dark"}
    </button>
  );
}
