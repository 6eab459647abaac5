/** The desk that computes posted plans. */
import { availableParallelism } from "node:os";
import { Worker } from "node:worker_threads";
import { openDesk, type Desk } from "./desk.ts";
import { planJob, type PlanJobAnswer, type PlanTask } from "./planJob.ts";

/** A core stays with the server itself, which goes on answering. */
const RULES = { threads: Math.max(1, availableParallelism() - 1), queue: 2, deadlineMs: 20_000 };
const MOST_MEMORY_MB = 1000;

type PlanDesk = Desk<PlanTask, PlanJobAnswer>;

let desk: PlanDesk | undefined;

/** `threadFile` is where the build put the thread; while developing there is none, and the server computes. */
export function planDesk(threadFile: string | undefined): PlanDesk {
  if (threadFile === undefined) return { ask: async (task) => ({ is: "done", answer: planJob(task) }) };
  return (desk ??= openDesk(
    () => new Worker(threadFile, { resourceLimits: { maxOldGenerationSizeMb: MOST_MEMORY_MB } }),
    RULES,
  ));
}
