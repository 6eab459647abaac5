import { expose } from "comlink";
import { BEAT, everySecond } from "./beat.ts";
import { serveJobs } from "./serve.ts";

expose(serveJobs(everySecond(() => postMessage(BEAT))));
