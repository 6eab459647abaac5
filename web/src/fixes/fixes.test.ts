/** Every repair does what its button says: applied to the plan, the check that offered it is gone or milder. */
import { computePlan, deviceSchema, type Check, type CheckCode, type Plan, type TrackPoints } from "@gepack/core";
import { produce } from "immer";
import { describe, expect, test } from "vitest";
import { demo, demoTrack, pieceOf, planWith, straightTrack } from "../../test/plans.ts";
import { checkFixes } from "../words/checks/index.ts";
import { isAction, type Action } from "./fix.ts";
import { made } from "../store/made.ts";

interface Offer {
  check: Check;
  action: Action;
  /** The checks of the same kind on the same leg for the same hiker, once it is done. */
  after: Check[];
  plan: Plan;
}

/** Takes the first button of the first check of a kind, and looks again. */
function take(plan: Plan, track: TrackPoints, code: CheckCode, button = 0): Offer {
  const result = computePlan(plan, [track]);
  const found = result.checks.filter((check) => check.code === code);
  for (const check of found) {
    const action = checkFixes(check, { plan, result }).filter(isAction)[button];
    if (!action) continue;
    const fixed = produce(plan, (draft) => action.recipe(draft, made()));
    const same = (other: Check): boolean =>
      other.code === code && other.legIndex === check.legIndex && other.hikerId === check.hikerId;
    return { check, action, after: computePlan(fixed, [track]).checks.filter(same), plan: fixed };
  }
  throw new Error(`no button for ${code} among ${found.length}`);
}

describe("on the demo", () => {
  const { plan } = demo();
  const track = demoTrack();

  test("bottles that are too small: a bag that holds what is missing, on that leg alone", () => {
    const { check, action, after, plan: fixed } = take(plan, track, "carry-over-bottles");
    expect(action.button).toMatch(/^Add a water bag, \d+ L on leg \d+ \(\+\d+ g\)$/);
    expect(after).toEqual([]);
    const before = computePlan(plan, [track]);
    const now = computePlan(fixed, [track]);
    for (const [i, leg] of now.legs.entries())
      if (i !== check.legIndex) expect(leg.hikers[0]!.kit.baseKg).toBeCloseTo(before.legs[i]!.hikers[0]!.kit.baseKg, 9);
  });

  test("a bag that is too cold: a liner, and the night is nearer to it", () => {
    const { check, after } = take(plan, track, "night-below-bag");
    const had = check as Extract<Check, { code: "night-below-bag" }>;
    const has = after[0] as typeof had | undefined;
    expect(has === undefined || has.have < had.have - 1.5).toBe(true);
  });

  test("a finish that is too late: an earlier start", () => {
    const late = produce(plan, (draft) => void (draft.trip.finishBy = "2027-07-10"));
    const { check, action, after } = take(late, track, "finish-late");
    expect(action.button).toMatch(/^Start on /);
    // Earlier there is more snow to walk on: a day or two of the gain may be lost to it.
    type Late = Extract<Check, { code: "finish-late" }>;
    for (const left of after) expect((left as Late).late).toBeLessThan((check as Late).late / 2);
  });

  test("a finish that is too late: a rest day less, and it is no later for the snow that one meets earlier", () => {
    const late = produce(plan, (draft) => void (draft.trip.finishBy = "2027-07-10"));
    const { check, after } = take(late, track, "finish-late", 1);
    type Late = Extract<Check, { code: "finish-late" }>;
    expect((after[0] as Late).late).toBeLessThanOrEqual((check as Late).late);
  });
});

describe("on a straight trail", () => {
  const track = straightTrack();

  test("shoes that wear out: new pairs where the old ones are near their end", () => {
    const shoes = pieceOf("runners", { massG: 700, wear: "worn", role: "shoes", meanLifeM: 60_000 });
    const stops = [30, 60, 90].map((km) => ({ id: `s${km}`, name: `Stop ${km}`, trackM: km * 1000, services: [] }));
    const { action, after, plan: fixed } = take(planWith({ kit: [shoes], stops }), track, "shoes-worn-out");
    expect(action.button).toMatch(/^Change them at Stop/);
    expect(after).toEqual([]);
    const pairs = fixed.kit.filter(({ name }) => name === shoes.name);
    expect(pairs.length).toBeGreaterThan(1);
    expect(pairs.map(({ spans }) => spans[0]!.begins)).toEqual(["from-home", ...pairs.slice(1).map(() => "bought")]);
    expect(computePlan(fixed, [track]).kitFaults).toEqual([]);
  });

  test("water that the file does not know: assumed every twelve kilometres, told, and taken away again", () => {
    const plan = planWith({ sources: [] });
    const { check, after, plan: fixed } = take(plan, track, "water-unknown");
    expect((check as Extract<Check, { code: "water-unknown" }>).have).toBeGreaterThan(10);
    expect(after).toEqual([]);
    expect(fixed.sources.length).toBeGreaterThan(3);
    expect(fixed.sources.every(({ assumed }) => assumed)).toBe(true);
    const { check: told, after: none, plan: bare } = take(fixed, track, "water-assumed");
    expect((told as Extract<Check, { code: "water-assumed" }>).have).toBe(fixed.sources.length);
    expect(none).toEqual([]);
    expect(bare.sources).toEqual([]);
  });

  test("a pack that is too heavy: the stop that is passed by", () => {
    const plan = planWith({
      stops: [{ id: "mill", name: "Mill", trackM: 45_000, use: false }],
      kit: [pieceOf("all", { massG: 15_500 })],
    });
    const { action, plan: fixed } = take(plan, track, "load-over-comfort");
    expect(action.button).toBe("Stop at Mill");
    expect(computePlan(fixed, [track]).legs).toHaveLength(2);
  });

  test("a source that is not trusted: one’s own judgement is counted on, whatever the rule", () => {
    const plan = planWith({
      sources: [{ id: "tank", name: "Old tank", trackM: 45_000, chanceByMonth: Array<number>(12).fill(0.4) }],
    });
    const { action, after } = take(plan, track, "untrusted-water");
    expect(action.button).toBe("Count on Old tank");
    expect(after).toEqual([]);
  });

  test("a thin pad, a missing canister, a lamp without cells, a piece that is nowhere", () => {
    const winter = {
      id: "w",
      name: "W",
      trackM: 0,
      heightM: 100,
      lowC: Array(12).fill(-15),
      highC: Array(12).fill(-5),
      lowSdK: 3,
      highSdK: 3,
    };
    const plan = planWith({
      climate: { stations: [winter] },
      stops: [{ id: "mill", name: "Mill", trackM: 45_000 }],
      stretches: [{ id: "r", name: "R", kind: "rule", rule: "hard-canister", fromM: 0, toM: 80_000 }],
      kit: [
        pieceOf("bag", { role: "bag", comfortC: -20, limitC: -27 }),
        pieceOf("pad", { role: "pad", padR: 3 }),
        pieceOf("axe", { spans: [{ fromStopId: "mill", toStopId: "@finish" }] }),
      ],
      devices: [deviceSchema.parse({ id: "lamp", name: "Lamp", ownerId: "a", kind: "spare-cells", daysPerSet: 1 })],
    });
    for (const code of ["pad-too-thin", "canister-missing", "spare-cells-short", "kit-piece-gap"] as const)
      expect(take(plan, track, code).after, code).toEqual([]);
  });

  test("what no piece meets: one from the shelf, one more, or not asked for; a missing tent from the shelf", () => {
    const wet = {
      lowC: Array(12).fill(1),
      highC: Array(12).fill(9),
      lowSdK: 2,
      highSdK: 3,
      wetDays: Array(12).fill(20),
    };
    const kit = [
      pieceOf("pot"),
      pieceOf("Rain jacket", { spans: [] }),
      pieceOf("tent", { role: "shelter", spans: [] }),
    ];
    const plan = planWith({
      climate: { stations: [{ id: "w", name: "W", trackM: 0, heightM: 100, ...wet }] },
      stops: [{ id: "mill", name: "Mill", trackM: 45_000 }],
      kit,
    });
    const rain = (after: readonly Check[]) =>
      after.filter((check) => check.code === "kit-uncovered" && check.demand === "rain");
    const of = (from: Plan) => rain(computePlan(from, [track]).checks)[0]!;
    const buttons = (from: Plan) =>
      checkFixes(of(from), { plan: from, result: computePlan(from, [track]) }).filter(isAction);
    const [shelf, lift] = buttons(plan);
    expect(shelf!.button).toBe("Bring Rain jacket from your shelf on legs 1 to 2");
    const bare = { ...plan, kit: plan.kit.slice(0, 1) };
    const [more] = buttons(bare);
    expect(more!.button).toBe("Add a rain jacket on legs 1 to 2 (+220 g)");
    for (const [from, { recipe }] of [
      [plan, shelf!],
      [plan, lift!],
      [bare, more!],
    ] as const)
      expect(
        rain(
          computePlan(
            produce(from, (draft) => recipe(draft, made())),
            [track],
          ).checks,
        ),
      ).toEqual([]);
    expect(take(plan, track, "kit-role-gap").after).toEqual([]);
  });

  test("a day too hot: setting out in the cool of the morning", () => {
    const hot = { lowC: Array(12).fill(26), highC: Array(12).fill(41), lowSdK: 2, highSdK: 3 };
    const plan = planWith({ climate: { stations: [{ id: "w", name: "W", trackM: 0, heightM: 100, ...hot }] } });
    const { action, plan: fixed } = take(plan, track, "heat-stress");
    expect(action.button).toBe("Start each day at 5:30");
    expect(fixed.hikers[0]!.pace.startClockH).toBe(5.5);
    expect(fixed.dayRules.darkFraction).toBeGreaterThan(0);
  });

  test("a menu that starves: no shortfall", () => {
    const plan = planWith();
    const hungry = produce(plan, (draft) => void (draft.hikers[0]!.food.shortfallFraction = 0.65));
    const { action, after } = take(hungry, track, "food-below-resting");
    expect(action.button).toBe("Plan without a calorie deficit");
    expect(after).toEqual([]);
  });
});
