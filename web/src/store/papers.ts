/** Which papers somebody asked to see; the dialog of papers is open while there are any. */
import { create } from "zustand";
import type { PaperId } from "../paper/papers.tsx";

interface PaperRequest {
  papers: readonly PaperId[];
  /** Of boxes, this one alone. */
  boxKey?: string;
}

export const usePapers = create<{ request: PaperRequest | undefined }>(() => ({ request: undefined }));

export function showPapers(papers: readonly PaperId[], boxKey?: string): void {
  usePapers.setState({ request: { papers, ...(boxKey === undefined ? {} : { boxKey }) } });
}

export function closePapers(): void {
  usePapers.setState({ request: undefined });
}
