import { gzipSync } from "node:zlib";
import { gunzipSync } from "node:zlib";
import { boxesOf, computePlan, PLAN_VERSION, planSchema, writePlanFile, type TrackPoints } from "@gepack/core";
import { describe, expect, test, vi } from "vitest";
import { papersQuery } from "./papersQuery.ts";
import { planAnswer } from "./planAnswer.ts";
import { planJob } from "./planJob.ts";
import { answer, foreignOrigin, limitedText, methodRefused, problem } from "./respond.ts";
import { answerPosted } from "./posted.ts";

const post = (body: BodyInit | null, headers: Record<string, string> = {}): Request =>
  new Request("http://127.0.0.1:4321/api/plan", { method: "POST", body, headers, duplex: "half" } as RequestInit);

/** A body that comes in pieces and would never end by itself. */
function endless(pieceBytes: number): { body: ReadableStream<Uint8Array>; sent: () => number } {
  let sent = 0;
  const body = new ReadableStream<Uint8Array>({
    pull(controller) {
      sent += pieceBytes;
      controller.enqueue(new Uint8Array(pieceBytes).fill(97));
    },
  });
  return { body, sent: () => sent };
}

describe("reading a body", () => {
  test("text, also across pieces that cut a letter in two", async () => {
    const bytes = new TextEncoder().encode('{"name":"Süd"}');
    const pieces = new ReadableStream<Uint8Array>({
      start(controller) {
        controller.enqueue(bytes.slice(0, 10));
        controller.enqueue(bytes.slice(10));
        controller.close();
      },
    });
    expect(await limitedText(post(pieces), 1000)).toBe('{"name":"Süd"}');
  });

  test("a body packed by gzip is read within the bound, told or not; another packing, or a broken one, is refused", async () => {
    const packed = gzipSync('{"name":"Süd"}');
    expect(await limitedText(post(packed), 1000)).toBe('{"name":"Süd"}');
    expect(await limitedText(post(packed, { "content-encoding": "gzip" }), 1000)).toBe('{"name":"Süd"}');
    expect(await limitedText(post(gzipSync("x".repeat(100_000))), 1000)).toBeUndefined();
    await expect(limitedText(post("{}", { "content-encoding": "br" }), 1000)).rejects.toThrow(/packed by br/);
    await expect(limitedText(post(packed.subarray(0, 15)), 1000)).rejects.toThrow(/cannot be unpacked/);
  });

  test("no body is an empty text", async () => {
    expect(await limitedText(post(null), 1000)).toBe("");
  });

  test("a body announced as too large is not read", async () => {
    expect(await limitedText(post("{}", { "content-length": "5000" }), 1000)).toBeUndefined();
  });

  test("a body that proves too large is given up at once, whatever it announced", async () => {
    const { body, sent } = endless(400);
    expect(await limitedText(post(body), 1000)).toBeUndefined();
    expect(sent()).toBeLessThan(3000);
  });

  test("a body that drips is given up with a sentence; one that comes fast enough is read, however long it takes", async () => {
    vi.useFakeTimers();
    const every = (ms: number, bytes: number, times: number) =>
      new ReadableStream<Uint8Array>({
        async pull(controller) {
          if (times-- === 0) return controller.close();
          await new Promise((resolve) => setTimeout(resolve, ms));
          controller.enqueue(new Uint8Array(bytes).fill(32));
        },
      });
    const slow = expect(limitedText(post(every(1000, 10, 100)), 1e6)).rejects.toThrow(/more slowly than 20 kB\/s/);
    await vi.advanceTimersByTimeAsync(20_000);
    await slow;
    const steady = limitedText(post(every(1000, 40_000, 20)), 1e6);
    await vi.advanceTimersByTimeAsync(30_000);
    expect(await steady).toHaveLength(800_000);
    vi.useRealTimers();
  });

  test("exactly as much as allowed is read", async () => {
    expect(await limitedText(post("x".repeat(1000)), 1000)).toHaveLength(1000);
  });
});

describe("room for bodies", () => {
  const from = (clientAddress: string, body: BodyInit) =>
    answerPosted(
      { request: post(body), locals: {}, clientAddress } as never,
      { is: "plan" },
      (json) => new Response(json),
    );

  test("slow bodies of one client fill its own room, and not that of others", async () => {
    const opened: ReadableStreamDefaultController[] = [];
    const stuck = (): ReadableStream => new ReadableStream({ start: (controller) => void opened.push(controller) });
    const waiting = Array.from({ length: 4 }, () => from("10.0.0.1", stuck()));
    expect((await from("10.0.0.1", "{}")).status).toBe(503);
    expect((await from("10.0.0.2", "{}")).status).toBe(422);
    for (const controller of opened) controller.close();
    expect((await Promise.all(waiting)).map(({ status }) => status)).toEqual([400, 400, 400, 400]);
    expect((await from("10.0.0.1", "{}")).status).toBe(422);
  });
});

describe("whose page posts", () => {
  test.each<[Record<string, string>, boolean, string]>([
    [{}, false, "a script sends no origin"],
    [{ origin: "http://127.0.0.1:4321" }, false, "our own page"],
    [{ origin: "http://plan.example", host: "plan.example" }, false, "our own page behind a proxy"],
    [{ origin: "https://elsewhere.example" }, true, "another site"],
    [{ origin: "http://127.0.0.1:9999" }, true, "another port"],
    [{ origin: "null" }, true, "a page that hides where it is from"],
    [{ origin: "%%%" }, true, "no address at all"],
  ])("%j: refused %s (%s)", (headers, refused) => {
    expect(foreignOrigin(post("{}", headers))).toBe(refused);
  });
});

describe("answers", () => {
  const get = (headers: Record<string, string> = {}): Request => new Request("http://127.0.0.1:4321/api", { headers });

  test("what was posted is never kept by a cache", async () => {
    const response = await answer(post("{}"), { a: 1 });
    expect(response.headers.get("cache-control")).toBe("no-store");
    expect(response.headers.get("etag")).toBeNull();
    expect(await response.json()).toEqual({ a: 1 });
  });

  test("what was fetched is asked for again by its tag, and comes only when it is another", async () => {
    const first = await answer(get(), { a: 1 });
    const etag = first.headers.get("etag")!;
    expect((await answer(get({ "if-none-match": etag }), { a: 1 })).status).toBe(304);
    expect((await answer(get({ "if-none-match": etag }), { a: 2 })).status).toBe(200);
  });

  test("long answers are packed for who asks for it", async () => {
    const long = { text: "x".repeat(5000) };
    const packed = await answer(get({ "accept-encoding": "br, gzip" }), long);
    expect(packed.headers.get("content-encoding")).toBe("gzip");
    const bytes = Buffer.from(await packed.arrayBuffer());
    expect(JSON.parse(gunzipSync(bytes).toString())).toEqual(long);
    expect((await answer(get(), long)).headers.get("content-encoding")).toBeNull();
    expect((await answer(get({ "accept-encoding": "gzip" }), { a: 1 })).headers.get("content-encoding")).toBeNull();
  });

  test("another method is refused with those allowed", () => {
    const response = methodRefused("GET, HEAD");
    expect(response.status).toBe(405);
    expect(response.headers.get("allow")).toBe("GET, HEAD");
  });

  test("a problem names each path", async () => {
    const response = problem(422, "Not a plan", "See problems.", [
      { severity: "error", place: "kit[0].massG", sentence: "Too small." },
    ]);
    expect(response.status).toBe(422);
    expect(response.headers.get("content-type")).toContain("application/problem+json");
    expect(await response.json()).toMatchObject({
      title: "Not a plan",
      status: 422,
      problems: [{ path: "kit[0].massG", detail: "Too small." }],
    });
  });
});

describe("a plan in the words of the endpoint", () => {
  const points = 400;
  const track: TrackPoints = {
    id: "t",
    name: "t",
    lonDeg: new Float64Array(points).fill(-150),
    latDeg: Float64Array.from({ length: points }, (_, i) => 40 + i * 0.001),
    heightM: Float32Array.from({ length: points }, (_, i) => 200 + 60 * Math.sin(i / 7)),
    segmentStarts: new Uint32Array([0]),
  };
  const plan = planSchema.parse({
    format: "gepack-plan",
    version: PLAN_VERSION,
    id: "p",
    trip: { name: "Short", startDate: "2027-06-01" },
    trackIds: ["t"],
    hikers: [{ id: "a", name: "A", ageY: 30, sex: "female", heightCm: 165, bodyKg: 60 }],
    stops: [{ id: "m", name: "Mill", trackM: 20_000 }],
    sources: [{ id: "w", name: "Well", trackM: 30_000 }],
    kit: [
      {
        id: "k",
        name: "All",
        massG: 5000,
        ownerId: "a",
        carrierId: "a",
        spans: [{ fromStopId: "@start", toStopId: "@finish" }],
      },
    ],
  });
  const result = computePlan(plan, [track]);
  const body = planAnswer(plan, result) as {
    legs: {
      number: number;
      from: { name: string; km: number };
      to: { name: string; km: number };
      distanceKm: number;
      hikers: Record<string, number | { from: string | null }>[];
    }[];
    days: { date: string; fromKm: number; toKm: number; rests: boolean }[];
    boxes: { to: string; massG: number; sendFrom: string; sendBy: string; faults: string[] }[];
    checks: { code: string; sentence: string; leg: number | null }[];
    caution: string;
  };

  test("days join up along the way, and every box has its mass and its days of sending", () => {
    expect(body.days).toHaveLength(new Set(body.days.map(({ date }) => date)).size);
    for (const [i, day] of body.days.entries())
      if (i > 0 && !day.rests) expect(day.fromKm).toBeCloseTo(body.days[i - 1]!.toKm, 2);
    expect(body.boxes.length).toBe(boxesOf(plan, result).length);
    for (const { massG, sendBy } of body.boxes) {
      expect(massG).toBeGreaterThan(0);
      expect(sendBy).toMatch(/^\d{4}-\d\d-\d\d$/);
    }
  });

  test("legs are named, numbered from 1, and join up", () => {
    expect(body.legs.map((leg) => [leg.number, leg.from.name, leg.to.name])).toEqual([
      [1, "Start", "Mill"],
      [2, "Mill", "Finish"],
    ]);
    expect(body.legs[0]!.to.km).toBe(body.legs[1]!.from.km);
  });

  test("figures are the result's, rounded to grams and metres", () => {
    const row = body.legs[1]!.hikers[0]!;
    const computed = result.legs[1]!.hikers[0]!;
    expect(row["leavingKg"]).toBeCloseTo(computed.startKg, 3);
    expect(row["foodKg"]).toBeCloseTo(computed.food.startKg, 3);
    expect(row["baseKg"]).toBe(5);
    expect(Number(row["longestDryKm"])).toBeGreaterThan(9);
  });

  test("the largest carry says from where", () => {
    const names = body.legs.map((leg) => (leg.hikers[0]!["largestCarry"] as { from: string | null }).from);
    expect(names[0]).toBeNull();
    expect(["Well", null]).toContain(names[1]);
  });

  test("the schools that answered stand with each hiker, and every fill-up with its litres", () => {
    const { hikers } = body as unknown as { hikers: { schools: Record<string, string> }[] };
    expect(hikers[0]!.schools).toMatchObject({ time: "tobler", effort: "pandolf-santee", fuel: "gas-canister" });
    const fill = body.legs[1]!.hikers[0]!["fillUps"] as unknown as { litres: number; atKm: number }[];
    const { carries } = result.legs[1]!.hikers[0]!;
    expect(fill.map((one) => one.litres)).toEqual(carries.map((one) => Math.round(one.litres * 100) / 100));
    expect(body.legs[1]!.hikers[0]!["containers"]).toBe(result.legs[1]!.hikers[0]!.fuel.containers);
    expect(body.legs[0]).toMatchObject({ lowestBatteryFraction: null });
  });

  test("checks come with a sentence, and the whole with its caution", () => {
    expect(body.checks.map((check) => check.code)).toContain("climate-assumed");
    expect(body.checks.every((check) => check.sentence.endsWith("."))).toBe(true);
    const load = body.checks.find((check) => check.code === "climate-assumed")!;
    expect(load).toMatchObject({
      figures: {},
      fixes: ["Fill in simulated weather", "Or add a weather station in Season."],
    });
    expect(body.caution).toMatch(/not a forecast/);
  });

  test("it survives the way through JSON unchanged: no NaN, no undefined", () => {
    expect(JSON.parse(JSON.stringify(body))).toEqual(body);
  });
});

describe("paper that is asked for", () => {
  const queried = (query: string) => papersQuery(new URL(`http://127.0.0.1/api/cards?${query}`));

  test("in the order of the booklet, on the paper, for the hiker and the leg", () => {
    expect(queried("papers=day-cards,leg-cards&size=letter&hiker=2&leg=3").query).toEqual({
      papers: ["leg-cards", "day-cards"],
      size: "letter",
      hiker: 2,
      leg: 3,
    });
    expect(queried("papers=booklet").query?.papers).toContain("flight");
  });

  test("what is not there is said: the paper, its size, a number that is none", () => {
    expect(queried("").bad).toEqual([expect.stringContaining("papers is missing")]);
    expect(queried("papers=leg-cards,poster&size=a9&leg=x").bad).toEqual([
      expect.stringContaining("leg is “x”"),
      expect.stringContaining("size is “a9”"),
      expect.stringContaining("papers holds “poster”"),
    ]);
  });

  test("a posted plan comes back as a page of its cards; a leg or hiker that it has not is refused", () => {
    const plan = planSchema.parse({
      format: "gepack-plan",
      version: PLAN_VERSION,
      id: "p",
      trip: { name: "North & back", startDate: "2027-05-01" },
      trackIds: ["t"],
      hikers: [{ id: "a", name: "A", ageY: 30, sex: "male", heightCm: 175, bodyKg: 70 }],
    });
    const track: TrackPoints = {
      id: "t",
      name: "t",
      lonDeg: new Float64Array(500).fill(-150),
      latDeg: Float64Array.from({ length: 500 }, (_, i) => 40 + i * 0.0009),
      heightM: new Float32Array(500).fill(100),
      segmentStarts: new Uint32Array([0]),
    };
    const text = JSON.stringify(writePlanFile(plan, [track]));
    const cards = (query: string) => planJob({ what: { is: "cards", ...queried(query).query! }, text });
    const page = cards("papers=leg-cards,overview");
    expect(page).toMatchObject({
      status: 200,
      body: expect.stringContaining("<title>North &#38; back</title>") as string,
    });
    expect(page).toMatchObject({ body: expect.stringContaining("Leg 1") as string });
    expect(cards("papers=water&leg=2")).toMatchObject({ status: 422, detail: "The plan has 1." });
    expect(cards("papers=water&hiker=2")).toMatchObject({ status: 422, detail: "The plan has 1." });
  });
});
