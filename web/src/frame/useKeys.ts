import { useEffect } from "react";
import { undoRedo } from "../store/document.ts";
import { help, useHelping } from "../store/helping.ts";
import { fetchPalette } from "./Helping.tsx";
import { select } from "../store/selection.ts";

/** What is found, the list of keys, and undo and redo by key anywhere but in a text field, where they belong to the text. */
export function useKeys(): void {
  useEffect(() => {
    const onKey = (event: globalThis.KeyboardEvent): void => {
      if (event.key === "Escape" && event.target === document.body) select({ zoomLeg: undefined });
      const types = event.target instanceof HTMLElement && event.target.matches("input, textarea, select");
      // The first of the two keys fetches it: what is typed after the second is not lost.
      if (event.key === "Control" || event.key === "Meta") void fetchPalette();
      if (event.key === "?" && !types) help("keys");
      if (!(event.ctrlKey || event.metaKey)) return;
      if (event.key.toLowerCase() === "k") {
        event.preventDefault();
        help(useHelping.getState().open === "palette" ? undefined : "palette");
      }
      if (event.key.toLowerCase() !== "z") return;
      if (event.target instanceof HTMLElement && event.target.matches("input[type=text], textarea")) return;
      event.preventDefault();
      void undoRedo(event.shiftKey ? "redo" : "undo");
    };
    // What is opened over a page goes with it.
    const onLeave = (): void => help(undefined);
    window.addEventListener("keydown", onKey);
    document.addEventListener("astro:before-swap", onLeave);
    return () => {
      window.removeEventListener("keydown", onKey);
      document.removeEventListener("astro:before-swap", onLeave);
    };
  }, []);
}
