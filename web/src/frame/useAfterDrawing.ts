/** What can wait until the trail is drawn: the faces, and the copy of the application for use without network. */
import { useEffect } from "react";
import facesUrl from "../styles/fonts.css?url";

/** A trail that does not come holds up the rest no longer than this. */
const LONGEST_WAIT_MS = 20_000;

export function useAfterDrawing(drawn: boolean): void {
  useEffect(() => {
    const { serviceWorker } = navigator as Partial<Navigator>;
    const begin = (): void => {
      fetchFaces();
      // While developing, what was built before must not answer.
      if (import.meta.env.PROD) void serviceWorker?.register("/sw.js").catch(() => {});
    };
    // On a later visit all of it is on the device.
    const timer = drawn || serviceWorker?.controller ? undefined : setTimeout(begin, LONGEST_WAIT_MS);
    if (timer === undefined) begin();
    return () => {
      clearTimeout(timer);
    };
  }, [drawn]);
}

function fetchFaces(): void {
  if (document.querySelector(`link[href="${facesUrl}"]`)) return;
  const link = document.createElement("link");
  link.rel = "stylesheet";
  link.href = facesUrl;
  document.head.append(link);
}
