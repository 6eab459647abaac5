/**
 * The page's end of a worker. `job` always ends: with the answer, stopped by its signal, or with a sentence.
 * A worker that dies, or shows no sign of life, is started again and asked once more.
 */
import { RELOAD } from "../words/cautions.ts";
import { proxy, wrap, type Remote } from "comlink";
import { BEAT } from "./beat.ts";
import type { CoreApi, JobEnd } from "./serve.ts";
import type { JobAnswer, JobArgs, JobName } from "./jobs.ts";

/**
 * Without a sign of life for this long the worker counts as dead. It beats while it works, between the rounds of
 * a plan and the pieces of a file; only reading one text of JSON, or measuring one track, is a longer silence.
 */
const SILENCE_MS = 10_000;

/** The job was stopped by the one who asked for it. */
export class JobStopped extends Error {
  constructor() {
    super("Stopped.");
  }
}

/** The job could not be done; the message is a sentence for the hiker. */
export class JobFailed extends Error {}

class WorkerLost extends Error {}

interface Waiter {
  lost: () => void;
  alive: () => void;
}

export interface JobOptions {
  onProgress?: (fraction: number, detail: unknown) => void;
  signal?: AbortSignal;
}

export interface CoreWorker {
  job: <Name extends JobName>(name: Name, args: JobArgs<Name>, options?: JobOptions) => Promise<JobAnswer<Name>>;
}

export interface WorkerWatch {
  /** A new worker has taken the place of one that was lost: it knows nothing yet. */
  onRestart: () => void;
}

export function startWorker(name: string, { onRestart }: WorkerWatch): CoreWorker {
  let worker: Worker;
  let remote: Remote<CoreApi>;
  /** Those who wait for this worker, to be shown when it is lost, and that it lives. */
  let waiting = new Set<Waiter>();
  let generation = 0;
  let lastId = 0;

  const start = (): void => {
    worker = new Worker(new URL("./core.worker.ts", import.meta.url), { type: "module", name });
    remote = wrap<CoreApi>(worker);
    worker.onerror = (event) => {
      event.preventDefault();
      for (const waiter of [...waiting]) waiter.lost();
    };
    worker.addEventListener("message", ({ data }) => {
      if (data === BEAT) for (const waiter of waiting) waiter.alive();
    });
  };
  start();

  const restart = (lostGeneration: number): void => {
    // Of several jobs that waited for the same worker the first replaces it.
    if (lostGeneration !== generation) return;
    generation++;
    worker.terminate();
    const others = waiting;
    waiting = new Set();
    start();
    onRestart();
    for (const waiter of others) waiter.lost();
  };

  const once = (name: JobName, args: unknown, { onProgress, signal }: JobOptions): Promise<JobEnd> => {
    const id = ++lastId;
    return new Promise((resolve, reject) => {
      let timer: ReturnType<typeof setTimeout>;
      const lost = (): void => end(() => reject(new WorkerLost()));
      const alive = (): void => {
        clearTimeout(timer);
        timer = setTimeout(lost, SILENCE_MS);
      };
      const waiter: Waiter = { lost, alive };
      const end = (then: () => void): void => {
        clearTimeout(timer);
        waiting.delete(waiter);
        signal?.removeEventListener("abort", stop);
        then();
      };
      const stop = (): void => {
        void remote.stop(id);
        end(() => resolve({ is: "stopped" }));
      };
      const heard = (fraction: number, detail: unknown): void => {
        alive();
        if (signal?.aborted !== true) onProgress?.(fraction, detail);
      };
      waiting.add(waiter);
      signal?.addEventListener("abort", stop);
      alive();
      // A way back for progress costs a channel: it is opened for those who want to hear.
      remote.run(id, name, args, onProgress && proxy(heard)).then(
        (answer) => end(() => resolve(answer)),
        (error: unknown) => end(() => reject(error instanceof Error ? error : new WorkerLost())),
      );
    });
  };

  return {
    async job(name, args, options = {}) {
      if (options.signal?.aborted === true) throw new JobStopped();
      let end: JobEnd;
      let atStart = generation;
      try {
        end = await once(name, args, options);
      } catch {
        restart(atStart);
        atStart = generation;
        try {
          end = await once(name, args, options);
        } catch {
          restart(atStart);
          throw new JobFailed(`The calculation stopped responding twice. ${RELOAD}`);
        }
      }
      if (end.is === "stopped") throw new JobStopped();
      if (end.is === "failed") throw new JobFailed(end.sentence);
      return end.answer as never;
    },
  };
}
