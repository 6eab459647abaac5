/**
 * A newer Gepack has taken over while this page was open. The page is loaded again, once, when nothing is in
 * hand, so that no page ever runs parts of two versions; what is chosen stands in the address and stays. While
 * something is half done it waits, and offers to be loaded.
 */
import { useDocument } from "./documentState.ts";
import { hasDrafts } from "./drafts.ts";

const LOOK_AGAIN_MS = 300;
const MARK = "gepack.reloaded";
/** A part of the page that is missing is fetched again by one reload; a second within this time would not help. */
const ONCE_IN_MS = 60_000;

let wanted = false;

/** Watches for a newer version; `isBusy` says whether an edit is on its way. */
export function watchVersion(isBusy: () => boolean): void {
  const { serviceWorker } = navigator as Partial<Navigator>;
  if (serviceWorker?.controller) serviceWorker.addEventListener("controllerchange", () => reloadBetweenEdits(isBusy));
  // A part of this version that only a newer server was asked for.
  window.addEventListener("vite:preloadError", (event) => {
    if (Date.now() - Number(sessionStorage.getItem(MARK) ?? 0) < ONCE_IN_MS) return;
    event.preventDefault();
    sessionStorage.setItem(MARK, String(Date.now()));
    reloadBetweenEdits(isBusy);
  });
  // Until then another station is a page of its own, not one put into this.
  document.addEventListener("astro:before-preparation", (event) => wanted && event.preventDefault());
}

export function reloadBetweenEdits(isBusy: () => boolean): void {
  if (wanted) return;
  wanted = true;
  const timer = setInterval(() => {
    if (isBusy()) return;
    // Who sees what is half done is asked; a page that nobody sees has nothing in hand but what is counted.
    if (hasDrafts()) return useDocument.setState({ isOutdated: true });
    clearInterval(timer);
    window.location.reload();
  }, LOOK_AGAIN_MS);
}
