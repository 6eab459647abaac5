/** The page's end and the worker's end of the calculation, joined by a message channel: the real jobs, no browser. */
import type { Plan, PlanResult, Question, SchoolFigures } from "@gepack/core";
import { afterEach, beforeEach, describe, expect, test, vi } from "vitest";
import { InProcessWorker } from "../../test/inProcessWorker.ts";
import { planWith, straightTrack } from "../../test/plans.ts";
import { startCalculator, type Calculator } from "./calculator.ts";
import { JobFailed, JobStopped, startWorker } from "./client.ts";
import type { JobName, PlanParts } from "./jobs.ts";

/** Jobs that the next workers never answer, worker by worker. */
let deaf: JobName[][];
let workers: FakeWorker[];

class FakeWorker extends InProcessWorker {
  readonly requests: { name: JobName; args: Record<string, unknown> }[];

  constructor(url: URL, options: WorkerOptions) {
    const silent = options.name === "gepack-live" ? (deaf.shift() ?? []) : [];
    const requests: FakeWorker["requests"] = [];
    super(url, options, (run) => async (id, name, args, onProgress) => {
      requests.push({ name, args: args as Record<string, unknown> });
      if (silent.includes(name)) await new Promise(() => {});
      return run(id, name, args, onProgress);
    });
    this.requests = requests;
    workers.push(this);
  }

  asks(name: JobName): Record<string, unknown>[] {
    return this.requests.filter((one) => one.name === name).map((one) => one.args);
  }
}

const track = straightTrack(300);
const planNamed = (name: string): Plan => planWith({ trip: { name, startDate: "2027-05-01" } });
const heaviest = (result: PlanResult | undefined): number => result!.legs[0]!.hikers[0]!.heaviestKg;

const watch = { onRestart: vi.fn(), onProfile: vi.fn() };

function calculate(): Calculator {
  const calculator = startCalculator(watch);
  calculator.setTrail({ key: "t forward", profile: undefined, tracks: () => Promise.resolve([track]) });
  return calculator;
}

beforeEach(() => {
  deaf = [];
  workers = [];
  watch.onRestart.mockClear();
  watch.onProfile.mockClear();
  vi.stubGlobal("Worker", FakeWorker);
});
afterEach(() => {
  for (const worker of workers) worker.terminate();
  vi.unstubAllGlobals();
  vi.useRealTimers();
});

describe("computing", () => {
  test("the first time the whole document, then only the parts that are other objects", async () => {
    const calculator = calculate();
    const first = planNamed("one");
    await calculator.compute(first);
    const second = { ...first, hikers: [{ ...first.hikers[0]!, bodyKg: 90 }] };
    const result = await calculator.compute(second);
    const [whole, parts] = workers[0]!.asks("compute").map(({ parts }) => Object.keys(parts as PlanParts));
    expect(whole).toEqual(Object.keys(first));
    expect(parts).toEqual(["hikers"]);
    expect(heaviest(result)).toBe(heaviest(await calculate().compute(second)));
  });

  test("the same document again answers whole arrays: none was given away for good", async () => {
    const calculator = calculate();
    const plan = planNamed("one");
    const [before, again] = [await calculator.compute(plan), await calculator.compute(plan)];
    expect(again!.packs[0]!.loadKg.length).toBe(before!.packs[0]!.loadKg.length);
    expect([...again!.packs[0]!.loadKg]).toEqual([...before!.packs[0]!.loadKg]);
    expect(again!.cellH.length).toBeGreaterThan(0);
  });

  test("a measured trail travels once, and is told so that it can be kept", async () => {
    const calculator = calculate();
    const [first, second] = [await calculator.compute(planNamed("one")), await calculator.compute(planNamed("two"))];
    expect(second!.profile).toBe(first!.profile);
    expect(watch.onProfile).toHaveBeenCalledExactlyOnceWith("t forward", first!.profile);
  });

  test("a trail that was kept spares the tracks, until the walk is turned round", async () => {
    const { profile } = (await calculate().compute(planNamed("one")))!;
    const tracks = vi.fn(() => Promise.resolve([track]));
    const calculator = startCalculator(watch);
    calculator.setTrail({ key: "t forward", profile, tracks });
    const plan = planNamed("one");
    expect((await calculator.compute(plan))!.profile.lengthM).toBe(profile.lengthM);
    expect(tracks).not.toHaveBeenCalled();
    const round = { ...plan, trip: { ...plan.trip, direction: "reverse" as const } };
    expect((await calculator.compute(round))!.legs).toHaveLength(1);
    expect(tracks).toHaveBeenCalledOnce();
  });

  test("of plans that come faster than answers only the newest is computed and answered", async () => {
    const calculator = calculate();
    const answers = await Promise.all(
      ["one", "two", "three", "four"].map((name) => calculator.compute(planNamed(name))),
    );
    expect(answers.map((answer) => answer !== undefined)).toEqual([false, false, false, true]);
    expect(workers[0]!.asks("compute")).toHaveLength(1);
  });
});

describe("a worker that dies", () => {
  test("by an error: another takes over with the trail and the whole document", async () => {
    deaf = [["compute"]];
    const calculator = calculate();
    const answer = calculator.compute(planNamed("kept"));
    await vi.waitFor(() => expect(workers[0]!.asks("compute")).toHaveLength(1));
    workers[0]!.onerror!({ preventDefault: () => {} });
    expect(heaviest(await answer)).toBeGreaterThan(0);
    expect(watch.onRestart).toHaveBeenCalledOnce();
    expect(workers).toHaveLength(2);
    expect(workers[0]!.terminated).toBe(true);
    expect(workers[1]!.asks("setTrail")).toHaveLength(1);
  });

  test("in silence: after its time the same happens", async () => {
    vi.useFakeTimers({ toFake: ["setTimeout", "clearTimeout"] });
    deaf = [["compute"]];
    const answer = calculate().compute(planNamed("kept"));
    await vi.advanceTimersByTimeAsync(9000);
    expect(watch.onRestart).not.toHaveBeenCalled();
    await vi.advanceTimersByTimeAsync(1500);
    expect(heaviest(await answer)).toBeGreaterThan(0);
  });

  test("work that takes long is no silence while the worker beats", async () => {
    vi.useFakeTimers({ toFake: ["setTimeout", "clearTimeout"] });
    deaf = [["compute"]];
    const answer = calculate().compute(planNamed("long"));
    await vi.waitFor(() => expect(workers[0]!.asks("compute")).toHaveLength(1));
    for (let seconds = 0; seconds < 60; seconds += 5) {
      workers[0]!.beat();
      await new Promise((resolve) => setImmediate(resolve));
      await vi.advanceTimersByTimeAsync(5000);
    }
    expect(watch.onRestart).not.toHaveBeenCalled();
    await vi.advanceTimersByTimeAsync(6000);
    await answer;
    expect(watch.onRestart).toHaveBeenCalledOnce();
  });

  test("twice in a row: the question fails with a sentence, and the next one is asked anew", async () => {
    vi.useFakeTimers({ toFake: ["setTimeout", "clearTimeout"] });
    deaf = [["setTrail"], ["setTrail"]];
    const calculator = calculate();
    const refused = expect(calculator.compute(planNamed("lost"))).rejects.toThrow(/Reload the page/);
    await vi.advanceTimersByTimeAsync(20_000);
    await refused;
    const next = calculator.compute(planNamed("next"));
    await vi.advanceTimersByTimeAsync(9000);
    expect(heaviest(await next)).toBeGreaterThan(0);
  });
});

describe("long jobs", () => {
  const QUESTIONS: Question[] = ["time", "resting"];
  const compare = (calculator: Calculator, onFigures: (figures: SchoolFigures) => void, signal: AbortSignal) =>
    calculator.compareSchools({ plan: planNamed("demo"), hikerId: "a", questions: QUESTIONS }, onFigures, signal);

  test("schools come one by one, in the order asked, from a worker of their own; the live one keeps answering", async () => {
    const calculator = calculate();
    await calculator.compute(planNamed("one"));
    const seen: string[] = [];
    const running = compare(calculator, (row) => seen.push(row.question), new AbortController().signal);
    expect(heaviest(await calculator.compute(planNamed("two")))).toBeGreaterThan(0);
    await running;
    expect(workers).toHaveLength(2);
    expect(workers[0]!.asks("compareSchools")).toEqual([]);
    expect(seen.length).toBeGreaterThan(10);
    expect(seen).toEqual([...seen].sort((a, b) => QUESTIONS.indexOf(a as Question) - QUESTIONS.indexOf(b as Question)));
  });

  test("a stop pressed before the first answer is not lost, and nothing comes after it", async () => {
    const early = new AbortController();
    const seen: string[] = [];
    const running = compare(calculate(), (row) => seen.push(row.id), early.signal);
    early.abort();
    await expect(running).rejects.toBeInstanceOf(JobStopped);
    await new Promise((resolve) => setTimeout(resolve, 30));
    expect(seen).toEqual([]);
  });

  test("a stop on the way ends it there", async () => {
    const control = new AbortController();
    const seen: string[] = [];
    const running = compare(
      calculate(),
      (row) => {
        seen.push(row.id);
        if (seen.length === 2) control.abort();
      },
      control.signal,
    );
    await expect(running).rejects.toBeInstanceOf(JobStopped);
    expect(seen).toHaveLength(2);
  });

  test("what goes wrong inside is a sentence, and the worker lives on", async () => {
    const worker = startWorker("gepack-side", { onRestart: () => {} });
    const broken = { ...straightTrack(2), latDeg: undefined } as never;
    await expect(worker.job("setTrail", { key: "x", tracks: [broken] })).resolves.toBeUndefined();
    await expect(worker.job("locateOn", { tracks: [broken], places: [] })).rejects.toBeInstanceOf(JobFailed);
    await expect(worker.job("locateOn", { tracks: [straightTrack(50)], places: [] })).resolves.toEqual([]);
    expect(workers).toHaveLength(1);
  });

  test("a track is read in pieces, its progress told; a plan file that is none says so", async () => {
    const calculator = calculate();
    const points = Array.from(
      { length: 40_000 },
      (_, i) => `<trkpt lat="${40 + i * 1e-5}" lon="-150"><ele>9</ele></trkpt>`,
    );
    const file = new Blob([`<gpx><trk><trkseg>${points.join("\n")}</trkseg></trk></gpx>`]);
    const steps: number[] = [];
    const read = await calculator.readTrack(
      { file, name: "own", trackId: "own" },
      { onProgress: (fraction) => steps.push(fraction) },
    );
    expect(read.value!.points).toBe(40_000);
    expect(read.value!.lengthM).toBeCloseTo(44_400, -3);
    expect(steps.length).toBeGreaterThan(1);
    expect(steps.at(-1)).toBe(1);
    const refused = await calculator.readPlan({ file: new Blob(["{ no json"]) });
    expect(refused.problems[0]!.sentence).toMatch(/isn’t a plan file/);
  });

  test("a trail longer than anybody walks is refused with its length, before any cell is laid", async () => {
    const points = Array.from({ length: 40 }, (_, i) => `<trkpt lat="${i % 2 === 0 ? 40 : -40}" lon="${i * 4 - 90}"/>`);
    const file = new Blob([`<gpx version="1.1"><trk><trkseg>${points.join("")}</trkseg></trk></gpx>`]);
    const { value, problems } = await calculate().readTrack({ file, name: "far", trackId: "far" }, {});
    expect(value).toBeUndefined();
    expect(problems[0]!.sentence).toMatch(/km long.*up to 20,000 km/);
  });
});
