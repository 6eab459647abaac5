/** What a running job may say and ask. */
export interface JobControl {
  /** How far it is, 0 to 1, and something worth showing meanwhile. */
  progress: (fraction: number, detail?: unknown) => void;
  /** Lets other messages in; throws `JobStopped` when the job is to stop. */
  breathe: () => Promise<void>;
}
