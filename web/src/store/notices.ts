/** What the hiker is given: a sentence that stays until it is put away, and words in passing. */
import { create } from "zustand";

/** Words in passing: what an action of the hiker's came to. */
export interface Notice {
  kind: "done" | "failed" | "note";
  message: string;
  description?: string;
}

export const useNotice = create<{ notice: string | undefined; notices: readonly Notice[] }>(() => ({
  notice: undefined,
  notices: [],
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

export function tell(kind: Notice["kind"], message: string, description?: string): void {
  const notices: Notice = { kind, message, ...(description === undefined ? {} : { description }) };
  useNotice.setState((state) => ({ notices: [...state.notices, notices] }));
}

/** What has not been shown yet, to whoever shows it. */
export function takeNotices(): readonly Notice[] {
  const { notices } = useNotice.getState();
  useNotice.setState({ notices: [] });
  return notices;
}
