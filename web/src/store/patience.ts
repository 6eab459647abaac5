/** A browser's storage may never answer, or stumble once after its disk was full: it is asked twice. */
import { StorageProblem } from "../data/plans.ts";

const PATIENCE_MS = 5000;
const REST_MS = 400;

const SILENT =
  "The browser’s storage does not answer. Close other tabs of Gepack and reload, or export the plan before you close the page.";

export function answered<T>(work: () => Promise<T>): Promise<T> {
  const twice = work().catch(async () => {
    await new Promise((resolve) => setTimeout(resolve, REST_MS));
    return work();
  });
  return new Promise((resolve, reject) => {
    const timer = setTimeout(() => reject(new StorageProblem(SILENT)), PATIENCE_MS);
    twice.then(resolve, reject).finally(() => clearTimeout(timer));
  });
}
