/** A sentence from outside the hiker's own action: a worker restarted, storage refused. */
import { create } from "zustand";

export const useNotice = create<{ notice: string | undefined }>(() => ({ notice: undefined }));

export function notify(notice: string): void {
  useNotice.setState({ notice });
}

/** Whatever was thrown, as its sentence. */
export function report(error: unknown): void {
  notify(error instanceof Error ? error.message : String(error));
}

export function dismissNotice(): void {
  useNotice.setState({ notice: undefined });
}
