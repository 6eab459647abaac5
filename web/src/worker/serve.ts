/** The worker's end of the protocol: runs one job after the other, tells how far it is, stops when told to. */
import { transfer } from "comlink";
import { buffersOf } from "./wire.ts";
import { createJobs, type ComputeAnswer, type JobControl, type JobName } from "./jobs.ts";

/** How a job ended. A worker never throws over the wire: what went wrong is a sentence. */
export type JobEnd = { is: "done"; answer: unknown } | { is: "stopped" } | { is: "failed"; sentence: string };

class JobStopped extends Error {}

export type CoreApi = ReturnType<typeof serveJobs>;

/** `beat` says that the worker lives, to who waits for it. */
export function serveJobs(beat: () => void) {
  const jobNamed = createJobs(beat);
  const stopped = new Set<number>();
  return {
    async run(
      id: number,
      name: JobName,
      args: unknown,
      onProgress?: (fraction: number, detail: unknown) => void,
    ): Promise<JobEnd> {
      const control: JobControl = {
        progress: (fraction, detail) => onProgress?.(fraction, detail),
        breathe: async () => {
          beat();
          await new Promise((resolve) => setTimeout(resolve, 0));
          if (stopped.has(id)) throw new JobStopped();
        },
      };
      try {
        const job = (await jobNamed(name)) as (args: unknown, control: JobControl) => unknown;
        const answer = await job(args, control);
        return transfer({ is: "done", answer }, name === "compute" ? handedOver(answer as ComputeAnswer | string) : []);
      } catch (error) {
        if (error instanceof JobStopped) return { is: "stopped" };
        return { is: "failed", sentence: error instanceof Error ? error.message : String(error) };
      } finally {
        stopped.delete(id);
      }
    },

    /** Asks a running job to stop at its next breath. */
    stop(id: number): void {
      stopped.add(id);
    },
  };
}

function handedOver(answer: ComputeAnswer | string): Transferable[] {
  return typeof answer === "string" ? [] : buffersOf(answer.result);
}
