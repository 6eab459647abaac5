/**
 * Work that may take long, or fill the memory, is done in threads of its own: so many at a time, a short
 * queue, and the rest is turned away at once. What takes too long, or is no longer waited for, is
 * stopped with its thread.
 */
import type { Worker } from "node:worker_threads";

export interface DeskRules {
  /** Threads that work at the same time. */
  threads: number;
  /** Those who may wait for one. */
  queue: number;
  deadlineMs: number;
}

export type DeskEnd<Answer> =
  | { is: "done"; answer: Answer }
  /** Turned away: all threads are at work and the queue is full. */
  | { is: "full" }
  | { is: "late" }
  /** The one who asked has left. */
  | { is: "left" }
  /** The thread ended by itself: out of its memory, or of an error of ours. */
  | { is: "died"; ofMemory: boolean };

export interface Desk<Task, Answer> {
  ask: (task: Task, left: AbortSignal) => Promise<DeskEnd<Answer>>;
}

/** A thread with the task it has in hand. */
interface Seat<Answer> {
  thread: Worker;
  end?: ((how: DeskEnd<Answer>) => void) | undefined;
}

interface Waiting<Task, Answer> {
  task: Task;
  left: AbortSignal;
  end: (how: DeskEnd<Answer>) => void;
}

export function openDesk<Task, Answer>(
  startThread: () => Worker,
  { threads, queue, deadlineMs }: DeskRules,
): Desk<Task, Answer> {
  let resting: Seat<Answer>[] = [];
  const line: Waiting<Task, Answer>[] = [];
  let working = 0;

  const newSeat = (): Seat<Answer> => {
    const seat: Seat<Answer> = { thread: startThread() };
    seat.thread.on("message", (answer: Answer) => seat.end?.({ is: "done", answer }));
    seat.thread.on("error", (error: Error & { code?: string }) => {
      resting = resting.filter((other) => other !== seat);
      seat.end?.({ is: "died", ofMemory: error.code === "ERR_WORKER_OUT_OF_MEMORY" });
    });
    return seat;
  };

  const begin = ({ task, left, end }: Waiting<Task, Answer>): void => {
    working++;
    const seat = resting.pop() ?? newSeat();
    const leave = (): void => seat.end?.({ is: "left" });
    const timer = setTimeout(() => seat.end?.({ is: "late" }), deadlineMs);
    left.addEventListener("abort", leave);
    seat.end = (how) => {
      seat.end = undefined;
      clearTimeout(timer);
      left.removeEventListener("abort", leave);
      if (how.is === "done") resting.push(seat);
      else void seat.thread.terminate();
      working--;
      end(how);
      next();
    };
    seat.thread.postMessage(task);
  };

  const next = (): void => {
    while (working < threads) {
      const first = line.shift();
      if (!first) return;
      begin(first);
    }
  };

  return {
    ask(task, left) {
      return new Promise((end) => {
        if (left.aborted) return end({ is: "left" });
        if (working >= threads && line.length >= queue) return end({ is: "full" });
        const one = { task, left, end };
        line.push(one);
        // Who leaves while waiting takes the task along: it may be large.
        left.addEventListener("abort", () => {
          const place = line.indexOf(one);
          if (place < 0) return;
          line.splice(place, 1);
          end({ is: "left" });
        });
        next();
      });
    },
  };
}
