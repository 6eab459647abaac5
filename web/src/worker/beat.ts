/** The worker's sign of life: sent from the midst of long work, which answers nothing until it is done. */
export const BEAT = "beat";

const SECOND_MS = 1000;

/** The same, at most once a second. */
export function everySecond(tell: () => void): () => void {
  let last = -Infinity;
  return () => {
    const now = performance.now();
    if (now - last < SECOND_MS) return;
    last = now;
    tell();
  };
}
