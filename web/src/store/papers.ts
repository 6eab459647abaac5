/** Which papers somebody asked to see; the dialog of papers is open while there are any. */
import { create } from "zustand";
import type { PaperId } from "../paper/papers.tsx";

interface Asked {
  papers: readonly PaperId[];
  /** Of boxes, this one alone. */
  boxKey?: string;
}

export const usePapers = create<{ asked: Asked | undefined }>(() => ({ asked: undefined }));

export function showPapers(papers: readonly PaperId[], boxKey?: string): void {
  usePapers.setState({ asked: { papers, ...(boxKey === undefined ? {} : { boxKey }) } });
}

export function closePapers(): void {
  usePapers.setState({ asked: undefined });
}
