/** Is over the Line while a place is needed: the next touch tells it, Escape gives it up. */
import { useEffect } from "react";
import { askForPoint, usePicking } from "../edit/picking.ts";
import type { LineFrame } from "./scale.ts";

export function PointPicker({ frame: { x, domain } }: { frame: LineFrame }) {
  const asking = usePicking((state) => state.asking);
  useEffect(() => {
    if (!asking) return;
    const give = (event: KeyboardEvent): void => {
      if (event.key === "Escape") askForPoint(undefined);
    };
    document.addEventListener("keydown", give);
    return () => document.removeEventListener("keydown", give);
  }, [asking]);
  // Who asked may be gone from the screen.
  useEffect(() => () => askForPoint(undefined), []);
  if (!asking) return null;
  return (
    <button
      type="button"
      aria-label={`${asking.words}; press Escape to cancel`}
      data-testid="point-picker"
      className="absolute inset-0 z-10 flex cursor-crosshair items-start justify-center bg-pine-wash/30 pt-1"
      onClick={(event) => {
        // A key has no place: it is typed in the field.
        if (event.detail === 0) return askForPoint(undefined);
        const metres = Math.min(domain[1], Math.max(domain[0], x.invert(event.clientX)));
        askForPoint(undefined);
        asking.onPoint(metres);
      }}
    >
      <span className="rounded bg-ink px-2 py-0.5 text-xs font-semibold text-sheet">{asking.words}</span>
    </button>
  );
}
