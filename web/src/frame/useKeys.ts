import { useEffect } from "react";
import { undoRedo } from "../store/document.ts";
import { select } from "../store/selection.ts";

/** Undo and redo by key anywhere but in a text field, where they belong to the text. */
export function useKeys(): void {
  useEffect(() => {
    const onKey = (event: globalThis.KeyboardEvent): void => {
      if (event.key === "Escape" && event.target === document.body) select({ zoomLeg: undefined });
      if (!(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== "z") return;
      if (event.target instanceof HTMLElement && event.target.matches("input[type=text], textarea")) return;
      event.preventDefault();
      void undoRedo(event.shiftKey ? "redo" : "undo");
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, []);
}
