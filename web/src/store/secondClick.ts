/**
 * A second click or Enter at once is the first one again: a finger that trembles, a key held down, a page that is slow
 * to answer. What the first has edited is not edited by the second, nor is what has come to stand under the pointer by
 * then. What is meant to be pressed many times says so by `data-repeats`.
 */

/** So long a click counts as the one before; so near it is at the same place. */
const AGAIN_MS = 750;
const NEAR_PX = 6;
/** Pressed twice they are as they were, or mean what was pressed last. */
const FREE =
  "input, select, textarea, label, summary, [role=tab], [role=menuitem], [role=menuitemradio], [data-repeats]";

interface Click {
  at: number;
  byKeys: boolean;
  x: number;
  y: number;
}

let last: Click | undefined;
let editedAt = -Infinity;

/** An edit begins: it is the last click's. */
export function markEdit(): void {
  editedAt = performance.now();
}

export function refuseSecondClicks(): void {
  window.addEventListener("click", refuseSecond, true);
  window.addEventListener("input", forgetClick, true);
}

/** Who has typed since means another one. Exported for its test, as the next is. */
export function forgetClick(): void {
  last = undefined;
}

export function refuseSecond(event: MouseEvent): void {
  // When it was pressed, not when a busy page came to it.
  const click = { at: event.timeStamp, byKeys: event.detail === 0, x: event.clientX, y: event.clientY };
  const before = last;
  last = click;
  if (!before || editedAt < before.at || click.at - before.at > AGAIN_MS || !isSamePlace(before, click)) return;
  if (event.target instanceof Element && event.target.closest(FREE)) return;
  // This one is no click of its own: a third is held against the edit still.
  editedAt = click.at;
  event.preventDefault();
  event.stopImmediatePropagation();
}

const isSamePlace = (a: Click, b: Click): boolean =>
  a.byKeys === b.byKeys && (a.byKeys || Math.hypot(a.x - b.x, a.y - b.y) <= NEAR_PX);
