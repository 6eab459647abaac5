/** A worker that is none: the real jobs at the other end of a message channel, without a browser. */
import { expose } from "comlink";
import { BEAT } from "../src/worker/beat.ts";
import { serveJobs, type CoreApi } from "../src/worker/serve.ts";

export class InProcessWorker {
  onerror: ((event: { preventDefault: () => void }) => void) | undefined;
  terminated = false;
  readonly beat: () => void;
  private readonly port: MessagePort;

  /** `around` may listen in on what is asked, or keep it from being answered. */
  constructor(_: URL, __: WorkerOptions, around: (run: CoreApi["run"]) => CoreApi["run"] = (run) => run) {
    const { port1, port2 } = new MessageChannel();
    this.port = port1;
    port1.start();
    this.beat = () => port2.postMessage(BEAT);
    const { run, stop } = serveJobs(this.beat);
    expose({ run: around(run), stop }, port2 as never);
  }

  postMessage(message: unknown, transfer: Transferable[] = []): void {
    this.port.postMessage(message, transfer);
  }
  addEventListener(type: string, listener: EventListener): void {
    this.port.addEventListener(type, listener);
  }
  removeEventListener(type: string, listener: EventListener): void {
    this.port.removeEventListener(type, listener);
  }
  terminate(): void {
    this.terminated = true;
    this.port.close();
  }
}
