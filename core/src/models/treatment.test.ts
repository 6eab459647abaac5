import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { boilMinutes, chlorineMinutes, dioxideCt, dioxideMinutes, filterMinutes } from "./treatment.ts";

describe("a filter that clogs", () => {
  // Worked out apart: clean flow, murk (litres that halve it), litres, minutes flushed at half flow, flushes.
  test.each([
    [1.5, "clear", 4, 2.756, 0],
    [1.5, "silty", 4, 3.733, 0],
    [1.0, "glacial", 6, 9.0, 2],
  ] as const)("%d L/min, %s: %d L take %d min with %d flushes", (flow, murk, litres, minutes, flushes) => {
    const treated = filterMinutes(litres, flow, murk);
    expect(treated.minutes).toBeCloseTo(minutes, 3);
    expect(treated.flushes).toBe(flushes);
  });

  test("more litres never take less, and half the flow takes twice as long", () => {
    const litres = fc.double({ min: 0, max: 40, noNaN: true });
    const murk = fc.constantFrom("clear", "cloudy", "silty", "glacial");
    fc.assert(
      fc.property(litres, litres, murk, (a, b, of) => {
        const [less, more] = [Math.min(a, b), Math.max(a, b)];
        expect(filterMinutes(more, 1, of).minutes).toBeGreaterThanOrEqual(filterMinutes(less, 1, of).minutes - 1e-9);
        expect(filterMinutes(a, 0.5, of).minutes).toBeCloseTo(2 * filterMinutes(a, 1, of).minutes, 9);
      }),
    );
  });

  test("nothing takes no time", () => expect(filterMinutes(0, 1, "clear")).toEqual({ minutes: 0, flushes: 0 }));
});

describe("chemicals in the cold", () => {
  test.each([
    [1, 63, 1826],
    [5, 26, 1288],
    [10, 23, 832.6],
    [20, 15, 348],
    // Between rows that of the colder; below the first twice it.
    [9.9, 26, undefined],
    [0, 126, undefined],
  ])("at %d °C a Ct of %d, and %s", (waterC, giardia, cryptosporidium) => {
    expect(dioxideCt(waterC, "giardia")).toBe(giardia);
    if (cryptosporidium !== undefined) expect(dioxideCt(waterC, "cryptosporidium") / cryptosporidium).toBeCloseTo(1, 3);
  });

  test("the label goes first, and the cold makes it longer", () => {
    expect(dioxideMinutes(20, "giardia")).toBe(30);
    expect(dioxideMinutes(1, "giardia")).toBe(63);
    expect(dioxideMinutes(25, "cryptosporidium")).toBe(240);
    expect(dioxideMinutes(10, "cryptosporidium")).toBeCloseTo(832.6 / 2, 0);
    expect([20, 10, 0].map(chlorineMinutes)).toEqual([30, 60, 120]);
  });
});

test("three minutes of boiling above 2,000 m", () => expect([1999, 2001].map(boilMinutes)).toEqual([1, 3]));
