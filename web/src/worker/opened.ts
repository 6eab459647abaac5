import type { Plan, Session } from "@gepack/core";

/** What a worker holds between two jobs: a session, and which trail it is on. */
export interface Opened {
  session: Session;
  isOpen: (plan: Plan, key: string) => boolean;
}
