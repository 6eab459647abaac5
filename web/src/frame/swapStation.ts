/**
 * Another station comes into the page that stands: only what differs is changed, the station itself, the title, and what
 * the frame is given. A body that is replaced as a whole would be laid out again with the Line and all.
 */
import type { TransitionBeforeSwapEvent } from "astro:transitions/client";

export function swapStation(event: Event): void {
  const swapping = event as TransitionBeforeSwapEvent;
  const { newDocument } = swapping;
  const [now, next] = [document, newDocument].map((page) => page.querySelector("main"));
  if (!now || !next) return;
  swapping.swap = () => {
    keepStyles(newDocument);
    document.title = newDocument.title;
    // What was announced of stations before.
    for (const said of document.querySelectorAll(".astro-route-announcer")) said.remove();
    tellFrame(newDocument);
    now.replaceWith(document.adoptNode(next));
  };
}

/** All styles stay, those that came after loading too; what only the other page knows is added. */
function keepStyles({ head }: Document): void {
  const known = new Set([...document.head.querySelectorAll("style, link[rel=stylesheet]")].map(keyOf));
  for (const style of head.querySelectorAll("style, link[rel=stylesheet]"))
    if (!known.has(keyOf(style))) document.head.append(document.importNode(style, true));
}

const keyOf = (style: Element): string => style.getAttribute("href") ?? style.textContent;

/** The frame goes on with what the other page gives its own: which station it stands over. */
function tellFrame(page: Document): void {
  const [frame, other] = [document, page].map((one) => one.querySelector('[data-astro-transition-persist="frame"]'));
  const props = other?.getAttribute("props");
  if (!frame || !props || props === frame.getAttribute("props")) return;
  frame.setAttribute("ssr", "");
  frame.setAttribute("props", props);
}
