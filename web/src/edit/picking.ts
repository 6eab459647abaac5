/** A place that is needed on the Line: who asks is given once, by the next touch of it. */
import { create } from "zustand";

export interface Asking {
  /** What the Line says meanwhile. */
  words: string;
  /** Metres in walking order. */
  onPoint: (metres: number) => void;
}

export const usePicking = create<{ asking: Asking | undefined }>(() => ({ asking: undefined }));

export function askForPoint(asking: Asking | undefined): void {
  usePicking.setState({ asking });
}
