import { useEffect } from "react";
import { useSettings } from "../store/settings.ts";

/** The theme of the page: as chosen, or as the device has it. */
export function useTheme(): void {
  const theme = useSettings((state) => state.theme);
  useEffect(() => {
    const dark = window.matchMedia("(prefers-color-scheme: dark)");
    const apply = (): void => {
      document.documentElement.dataset["theme"] = theme === "system" ? (dark.matches ? "dark" : "light") : theme;
    };
    apply();
    dark.addEventListener("change", apply);
    document.addEventListener("astro:after-swap", apply);
    return () => {
      dark.removeEventListener("change", apply);
      document.removeEventListener("astro:after-swap", apply);
    };
  }, [theme]);
}
