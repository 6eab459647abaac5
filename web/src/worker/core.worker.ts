import { expose } from "comlink";
import { createJobs } from "./jobs.ts";
import { serveJobs } from "./serve.ts";

expose(serveJobs(createJobs()));
