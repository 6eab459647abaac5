import { expect, test } from "vitest";
import { foodQuestions } from "./questions.ts";

test("a place is asked about by the days that it cuts off the longest carry", () => {
  const asked = foodQuestions(
    [100_000],
    [
      { id: "near", trackM: 104_000 },
      { id: "middle", trackM: 220_000 },
      { id: "early", trackM: 60_000 },
    ],
    300_000,
    20_000,
  );
  // 120 km behind it and 80 before: the longest carry falls from 200 to 120 km. 60 and 40: from 100 to 60.
  expect(asked).toEqual([
    { id: "middle", days: 4 },
    { id: "early", days: 2 },
  ]);
});

test("of many the six that matter most; none beyond the ends", () => {
  const many = Array.from({ length: 20 }, (_, i) => ({ id: `p${i}`, trackM: 30_000 * (i + 1) }));
  const asked = foodQuestions([], [...many, { id: "beyond", trackM: 900_000 }], 630_000, 25_000);
  expect(asked).toHaveLength(6);
  expect(asked[0]!.id).toMatch(/^p(9|10)$/);
  expect(asked.map(({ id }) => id)).not.toContain("beyond");
});
