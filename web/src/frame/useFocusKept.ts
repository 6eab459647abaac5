/**
 * The keyboard keeps its place. What had the focus may go with an edit (a row is removed, a button becomes a field,
 * a dialog closes) or may not be pressed for a while: the browser would put the focus back to the top of the page.
 * It goes to what stands in the same place instead, to the opener of what was closed, or back once it can.
 */
import { useEffect } from "react";

const FOCUSABLE =
  "a[href], button:not(:disabled), input:not(:disabled), select:not(:disabled), textarea:not(:disabled), summary, [tabindex]:not([tabindex='-1'])";
const OVER_THE_PAGE = "[role=dialog], [role=alertdialog], [role=menu]";

/** Where an element stands: its ancestors from the nearest on, and its place among the children of each. */
type Place = readonly { parent: Element; index: number }[];

interface Focused {
  element: HTMLElement;
  place: Place;
}

export function useFocusKept(): void {
  useEffect(() => {
    let last: Focused | undefined;
    /** What had the focus before something opened over the page, and over that. */
    const openers: Focused[] = [];
    /** A field that is given the focus after a tap would open the keyboard of a phone. */
    let byTouch = false;
    const onPointer = ({ pointerType }: PointerEvent): void => void (byTouch = pointerType === "touch");
    const onKey = (): void => void (byTouch = false);

    const onFocus = ({ target }: FocusEvent): void => {
      if (!(target instanceof HTMLElement)) return;
      const over = target.closest(OVER_THE_PAGE);
      if (over && last && !over.contains(last.element)) openers.push(last);
      if (!over) openers.length = 0;
      last = { element: target, place: placeOf(target) };
    };
    /** Who leaves a field for nothing needs no focus; what is gone a moment later, or at rest, was not left. */
    const onBlur = ({ target, relatedTarget }: FocusEvent): void => {
      if (relatedTarget !== null || !document.hasFocus()) return;
      queueMicrotask(() => {
        if (last && target === last.element && isThere(last.element) && document.activeElement === document.body)
          last = undefined;
      });
    };
    const keep = (): void => {
      if (!last || byTouch || document.activeElement !== document.body) return;
      if (last.element.isConnected) {
        // At rest: once it can be pressed again, it has the focus again.
        if (isThere(last.element)) last.element.focus({ preventScroll: true });
        return;
      }
      const next = last.element.closest(OVER_THE_PAGE) ? openerOf(openers) : inPlaceOf(last.place);
      (next ?? document.querySelector("main"))?.focus({ preventScroll: true });
    };
    const observer = new MutationObserver(keep);
    observer.observe(document.documentElement, {
      childList: true,
      subtree: true,
      attributes: true,
      attributeFilter: ["disabled"],
    });
    document.addEventListener("pointerdown", onPointer, true);
    document.addEventListener("keydown", onKey, true);
    document.addEventListener("focusin", onFocus);
    document.addEventListener("focusout", onBlur);
    return () => {
      observer.disconnect();
      document.removeEventListener("pointerdown", onPointer, true);
      document.removeEventListener("keydown", onKey, true);
      document.removeEventListener("focusin", onFocus);
      document.removeEventListener("focusout", onBlur);
    };
  }, []);
}

const isThere = (element: HTMLElement): boolean => element.isConnected && !element.matches(":disabled");

function placeOf(element: Element): Place {
  const place: { parent: Element; index: number }[] = [];
  for (let child = element; child.parentElement; child = child.parentElement)
    place.push({ parent: child.parentElement, index: [...child.parentElement.children].indexOf(child) });
  return place;
}

function openerOf(openers: readonly Focused[]): HTMLElement | undefined {
  const opener = openers.findLast(({ element }) => isThere(element));
  return opener ? opener.element : openers[0] && inPlaceOf(openers[0].place);
}

/** What can have the focus where the element stood: the like of it in what came after, else the nearest there. */
function inPlaceOf(place: Place): HTMLElement | undefined {
  const from = place.findIndex(({ parent }) => parent.isConnected);
  for (let step = from; step >= 0 && step < place.length; step++) {
    const { parent, index } = place[step]!;
    if (parent.matches("body, html")) return undefined;
    const children = [...parent.children];
    const like = step === from ? alike(children[index] ?? children.at(-1), place.slice(0, step)) : undefined;
    const near = like ?? firstIn(children.slice(index)) ?? firstIn(children.slice(0, index).reverse());
    if (near) return near;
    if (parent.matches("main, nav, header")) return undefined;
  }
  return undefined;
}

/** The same way down in another element. */
function alike(start: Element | undefined, below: Place): HTMLElement | undefined {
  let element = start;
  for (const { index } of below.toReversed()) element = element?.children[index];
  return element instanceof HTMLElement && element.matches(FOCUSABLE) ? element : undefined;
}

function firstIn(elements: readonly Element[]): HTMLElement | undefined {
  for (const element of elements)
    for (const found of [element, ...element.querySelectorAll(FOCUSABLE)])
      if (found instanceof HTMLElement && found.matches(FOCUSABLE) && found.checkVisibility()) return found;
  return undefined;
}
