import { useSyncExternalStore } from "react";

/** The theme that the page is shown in, told again when it changes: a canvas does not follow style sheets. */
export function useThemeName(): string {
  return useSyncExternalStore(
    (changed) => {
      const observer = new MutationObserver(changed);
      observer.observe(document.documentElement, { attributeFilter: ["data-theme"] });
      return () => observer.disconnect();
    },
    () => document.documentElement.dataset["theme"] ?? "",
  );
}
