/** A browser's storage may never answer: another tab holds it, or it is broken. */
import { StorageProblem } from "../data/plans.ts";

const PATIENCE_MS = 5000;

const SILENT =
  "The browser’s storage isn’t responding. Close other Gepack tabs and reload, or export the plan before you close the page.";

export function answered<T>(work: Promise<T>): Promise<T> {
  return new Promise((resolve, reject) => {
    const timer = setTimeout(() => reject(new StorageProblem(SILENT)), PATIENCE_MS);
    work.then(resolve, reject).finally(() => clearTimeout(timer));
  });
}
