/** The page's end of the worker, against workers made of a message channel. */
import {
  planSchema,
  type Plan,
  type PlanResult,
  type Profile,
  type Question,
  type SchoolFigures,
  type TrackPoints,
} from "@gepack/core";
import { expose } from "comlink";
import { afterEach, beforeEach, describe, expect, test, vi } from "vitest";
import { startCore } from "./client.ts";

interface Behaviour {
  /** Never answers a compute. */
  deaf?: boolean;
}

let behaviours: Behaviour[];
let workers: FakeWorker[];

class FakeWorker {
  readonly computed: string[] = [];
  readonly tracksSet: number[] = [];
  readonly profilesSent: boolean[] = [];
  stopped = false;
  onerror: ((event: { preventDefault: () => void }) => void) | undefined;
  private readonly port: MessagePort;

  constructor() {
    const behaviour = behaviours.shift() ?? {};
    const { port1, port2 } = new MessageChannel();
    this.port = port1;
    port1.start();
    const api = {
      setTracks: (tracks: TrackPoints[]): void => void this.tracksSet.push(tracks.length),
      compute: async (plan: Plan, hasProfile: number): Promise<unknown> => {
        this.computed.push(plan.trip.name);
        if (behaviour.deaf) await new Promise(() => {});
        this.profilesSent.push(hasProfile !== 1);
        const result = { finishDate: plan.trip.name } as unknown as PlanResult;
        return { result, profileId: 1, profile: hasProfile === 1 ? undefined : ({ cellCount: 7 } as Profile) };
      },
      compareSchools: async (
        plan: Plan,
        hikerId: string,
        questions: readonly Question[],
        onFigures: (figures: SchoolFigures) => Promise<void>,
      ): Promise<"done" | "cancelled"> => {
        for (const question of questions) {
          if (this.stopped) return "cancelled";
          await onFigures({ question, id: `${plan.trip.name} ${hikerId}` } as SchoolFigures);
        }
        return "done";
      },
      stopComparing: (): void => void (this.stopped = true),
    };
    expose(api, port2 as never);
    workers.push(this);
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
    this.port.close();
  }
}

const planNamed = (name: string): Plan =>
  planSchema.parse({
    format: "gepack-plan",
    version: 1,
    id: "p",
    trip: { name, startDate: "2027-05-01" },
    hikers: [{ id: "a", name: "A", ageY: 30, sex: "male", heightCm: 175, bodyKg: 70 }],
  });
const answered = (result: PlanResult | undefined): string | undefined => result?.finishDate;

beforeEach(() => {
  behaviours = [];
  workers = [];
  vi.stubGlobal("Worker", FakeWorker);
});
afterEach(() => {
  for (const worker of workers) worker.terminate();
  vi.unstubAllGlobals();
  vi.useRealTimers();
});

describe("computing", () => {
  test("the profile travels once and is in every result", async () => {
    const core = startCore(() => {});
    const first = await core.compute(planNamed("one"));
    const second = await core.compute(planNamed("two"));
    expect(workers[0]!.profilesSent).toEqual([true, false]);
    expect([first!.profile.cellCount, second!.profile.cellCount]).toEqual([7, 7]);
  });

  test("of plans that come faster than answers only the newest is computed and answered", async () => {
    const core = startCore(() => {});
    const answers = await Promise.all(["one", "two", "three", "four"].map((name) => core.compute(planNamed(name))));
    expect(answers.map(answered)).toEqual([undefined, undefined, undefined, "four"]);
    expect(workers[0]!.computed).toEqual(["four"]);
  });
});

describe("a worker that dies", () => {
  test("by an error: another takes over with the tracks, and the plan is answered", async () => {
    behaviours = [{ deaf: true }];
    const restarted = vi.fn();
    const core = startCore(restarted);
    core.setTracks([{} as TrackPoints, {} as TrackPoints]);
    const answer = core.compute(planNamed("kept"));
    await vi.waitFor(() => expect(workers[0]!.computed).toEqual(["kept"]));
    workers[0]!.onerror!({ preventDefault: () => {} });
    expect(answered(await answer)).toBe("kept");
    expect(restarted).toHaveBeenCalledOnce();
    expect(workers).toHaveLength(2);
    expect(workers[1]!.tracksSet).toEqual([2]);
    expect(workers[1]!.profilesSent).toEqual([true]);
  });

  test("in silence: after its time the same happens", async () => {
    vi.useFakeTimers({ toFake: ["setTimeout", "clearTimeout"] });
    behaviours = [{ deaf: true }];
    const restarted = vi.fn();
    const core = startCore(restarted);
    const answer = core.compute(planNamed("kept"));
    await vi.advanceTimersByTimeAsync(7000);
    expect(restarted).not.toHaveBeenCalled();
    await vi.advanceTimersByTimeAsync(1500);
    expect(answered(await answer)).toBe("kept");
    expect(restarted).toHaveBeenCalledOnce();
  });

  test("twice in a row: the question fails, and the next one is asked anew", async () => {
    vi.useFakeTimers({ toFake: ["setTimeout", "clearTimeout"] });
    behaviours = [{ deaf: true }, { deaf: true }, {}];
    const core = startCore(() => {});
    const refused = expect(core.compute(planNamed("lost"))).rejects.toThrow();
    await vi.advanceTimersByTimeAsync(20_000);
    await refused;
    const next = core.compute(planNamed("next"));
    await vi.advanceTimersByTimeAsync(9000);
    expect(answered(await next)).toBe("next");
  });
});

describe("schools compared", () => {
  test("figures come one by one, in the order asked, for the plan and hiker given", async () => {
    const core = startCore(() => {});
    const seen: string[] = [];
    const ended = await core.compareSchools(planNamed("demo"), "a", ["time", "water"], (row) => {
      seen.push(`${row.question}: ${row.id}`);
    });
    expect(ended).toBe("done");
    expect(seen).toEqual(["time: demo a", "water: demo a"]);
  });

  test("a stop reaches the worker, and nothing comes after it", async () => {
    const core = startCore(() => {});
    const seen: string[] = [];
    const running = core.compareSchools(planNamed("demo"), "a", ["time", "effort", "resting"], (row) => {
      seen.push(row.question);
      core.stopComparing();
    });
    expect(await running).toBe("cancelled");
    expect(seen.length).toBeLessThan(3);
  });
});
