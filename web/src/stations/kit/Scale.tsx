/** A piece laid on the simulated scale: the display until it settles, and the mass taken from it. */
import { useEffect, useState } from "react";
import { askScale } from "../../data/scale.ts";
import type { Say } from "../../words/say.ts";

interface Props {
  name: string;
  /** What is given of one piece, grams. */
  listedG: number;
  /** What is on it besides, tared away. */
  underG?: number | undefined;
  say: Say;
  onWeighed: (grams: number) => void;
}

const EVERY_MS = 200;
const LONGEST_MS = 10_000;

type Display = { grams: number; settled: boolean } | "none";

export function Scale({ name, listedG, underG = 0, say, onWeighed }: Props) {
  const [laidOnAt, setLaidOnAt] = useState<number>();
  const [display, setDisplay] = useState<Display>();
  useEffect(() => {
    if (laidOnAt === undefined) return;
    let isOver = false;
    const look = async (): Promise<void> => {
      const elapsedMs = performance.now() - laidOnAt;
      const reading = await askScale(name, listedG + underG, elapsedMs);
      if (isOver) return;
      setDisplay(reading ? { ...reading, grams: reading.grams - underG } : "none");
      if (reading && !reading.settled && elapsedMs < LONGEST_MS) setTimeout(() => void look(), EVERY_MS);
    };
    void look();
    return () => {
      isOver = true;
    };
    // Weighed once for every time that it is laid on.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [laidOnAt]);
  return (
    <div className="col-span-2 flex flex-wrap items-center gap-2 self-end pb-1 text-sm" aria-live="polite">
      <button type="button" className="btn" onClick={() => setLaidOnAt(performance.now())}>
        Weigh
      </button>
      {display === "none" && <span className="text-danger">The scale isn’t responding; it needs the server.</span>}
      {display !== undefined && display !== "none" && (
        <>
          <span className={`figure ${display.settled ? "font-semibold" : "text-muted"}`}>{say.g(display.grams)}</span>
          {display.settled && (
            <>
              <span className="text-muted">{differs(display.grams - listedG, say)}</span>
              <button type="button" className="btn" onClick={() => onWeighed(display.grams)}>
                Use this weight
              </button>
            </>
          )}
        </>
      )}
      <span className="text-xs text-muted">simulated scale</span>
    </div>
  );
}

function differs(grams: number, say: Say): string {
  if (Math.abs(grams) < 0.5) return "matches the listed weight";
  return `${say.g(Math.abs(grams))} ${grams > 0 ? "more" : "less"} than listed`;
}
