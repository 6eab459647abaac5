import { computePlan } from "@gepack/core";
import { expect, test } from "vitest";
import { planWith, someone, straightTrack } from "../../test/plans.ts";
import { advicePage } from "./advicePage.ts";

const all = [{ fromStopId: "@start", toStopId: "@finish" }];
const piece = (id: string, name: string, massG: number, more: object = {}) => ({
  id,
  name,
  group: "Sleep",
  massG,
  ownerId: someone.id,
  carrierId: someone.id,
  spans: all,
  ...more,
});
const plan = planWith({
  hikers: [someone],
  kit: [
    piece("quilt", "Quilt", 700),
    piece("socks", "Socks", 50, { quantity: 2, wear: "worn" }),
    piece("evil", `<img src=x onerror="alert(1)">`, 10),
    piece("home", "Chair", 900, { spans: [] }),
  ],
});
const page = advicePage(plan, computePlan(plan, [straightTrack()]), computePlan(plan, [straightTrack()]).legs[0]!, 0);

test("what is carried on the leg is a row with its weight, group sums and how it is carried; what stays at home is none", () => {
  expect(page).toContain("Sleep, 810 g");
  expect(page).toMatch(/data-id="quilt" data-name="Quilt"/);
  expect(page).toContain("Socks ×2 (worn)");
  expect(page).not.toContain("Chair");
  expect(page).toContain("Base weight 0.71 kg");
  expect(page.match(/<option value="home">leave<\/option>/g)).toHaveLength(3);
});

test("names are text in it, and it fetches nothing", () => {
  expect(page).not.toContain("<img");
  expect(page).toContain("&#60;img");
  expect(page).not.toMatch(/(?:src|href)="?https?:/);
});
