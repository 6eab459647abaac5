/** What the hiker is told: a sentence that stays until it is put away, and words in passing. */
import { create } from "zustand";

/** Words in passing: what an action of the hiker's came to. */
export interface Told {
  kind: "done" | "failed" | "note";
  message: string;
  description?: string;
}

export const useNotice = create<{ notice: string | undefined; told: readonly Told[] }>(() => ({
  notice: undefined,
  told: [],
}));

/** A sentence from outside the hiker's own action: a worker restarted, storage refused. */
export function notify(notice: string): void {
  useNotice.setState({ notice });
}

export function sentenceOf(error: unknown): string {
  return error instanceof Error ? error.message : String(error);
}

/** Whatever was thrown, as its sentence. */
export function report(error: unknown): void {
  notify(sentenceOf(error));
}

export function dismissNotice(): void {
  useNotice.setState({ notice: undefined });
}

export function tell(kind: Told["kind"], message: string, description?: string): void {
  const told: Told = { kind, message, ...(description === undefined ? {} : { description }) };
  useNotice.setState((state) => ({ told: [...state.told, told] }));
}

/** What has not been shown yet, to whoever shows it. */
export function takeTold(): readonly Told[] {
  const { told } = useNotice.getState();
  useNotice.setState({ told: [] });
  return told;
}
