/** The thread that computes posted plans, one after the other; built beside the server as a file of its own. */
import { parentPort } from "node:worker_threads";
import { planJob, type PlanTask } from "./planJob.ts";

parentPort?.on("message", (task: PlanTask) => parentPort?.postMessage(planJob(task)));
