import { expect, test } from "vitest";
import { pieceOf, planOf, stationOf, stopOf, trackNorth } from "../../test/fixtures.ts";
import { computePlan } from "../session/session.ts";
import { bankLegs } from "./banks.ts";

const tracks = [trackNorth({ lengthM: 300_000 })];
const socket = { nights: 1, services: ["socket", "bed", "shop-full"] };

test("a bank is wanted on the long leg, and idle on the short ones", () => {
  const plan = planOf({
    devices: [
      { id: "phone", name: "Phone", ownerId: "a", kind: "rechargeable", mAh: 4000, whPerDay: 6 },
      { id: "bank", name: "Bank", ownerId: "a", kind: "bank", mAh: 40_000, pieceId: "b" },
    ],
    kit: [pieceOf("b", 350)],
    climate: { stations: [stationOf(10, 20)] },
    stops: [stopOf("s", 20_000, socket), stopOf("t", 270_000, socket)],
  });
  const compute = (other: typeof plan) => computePlan(other, tracks);
  const now = compute(plan);
  const [row, ...more] = [...bankLegs(plan, now, compute)];
  expect(more).toEqual([]);
  expect(row).toMatchObject({ deviceId: "bank", wantedOn: [1], missingStill: [], idleOn: [0, 2] });
  // What is said is what there is without it.
  const without = compute({ ...plan, devices: plan.devices.slice(0, 1) });
  expect(without.power!.stores[0]!.legs.map(({ shortWh }) => shortWh > 0)).toEqual([false, true, false]);
});
