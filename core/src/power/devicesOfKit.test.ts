import { expect, test } from "vitest";
import { hikerOf, pieceOf, planOf } from "../../test/fixtures.ts";
import { devicesOfKit } from "./devicesOfKit.ts";

const plan = planOf({
  hikers: [hikerOf()],
  kit: [
    pieceOf("Power bank 10,000 mAh", 180),
    pieceOf("powerbank 37 Wh", 210, { quantity: 2 }),
    pieceOf("power bank", 200),
    pieceOf("Phone", 190),
    pieceOf("phone case", 40),
    pieceOf("Stirnlampe", 70),
    pieceOf("headlamp batteries", 24),
    { ...pieceOf("Old phone", 150), spans: [] },
    pieceOf("megaphone stand", 300),
  ],
});

test("banks with their cells, phones and lamps are devices of their piece; what goes with them, or stays at home, is none", () => {
  const devices = devicesOfKit(plan.kit, []);
  expect(devices.map(({ name, kind, mAh, count }) => [name, kind, mAh, count])).toEqual([
    ["Power bank 10,000 mAh", "bank", 10_000, 1],
    ["powerbank 37 Wh", "bank", 10_000, 2],
    ["Phone", "rechargeable", 4000, 1],
    ["Stirnlampe", "rechargeable", 1200, 1],
  ]);
  expect(devices.map(({ pieceId }) => pieceId)).toEqual(devices.map(({ name }) => name));
});

test("what is a device already is not made twice", () => {
  const devices = devicesOfKit(plan.kit, []);
  expect(devicesOfKit(plan.kit, devices)).toEqual([]);
  const ownPhone = { ...devices[2]!, id: "mine", pieceId: undefined };
  expect(devicesOfKit(plan.kit, [ownPhone]).map(({ name }) => name)).not.toContain("Phone");
});
