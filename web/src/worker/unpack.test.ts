import { gzipSync } from "node:zlib";
import { expect, test } from "vitest";
import { textOf } from "./unpack.ts";

const text = `{"name":"Süd – ${"x".repeat(5000)}"}`;

test("packed or not, the text is the same, also where a letter is cut in two", async () => {
  expect(await textOf(new Blob([text]), 1e6)).toBe(text);
  expect(await textOf(new Blob([gzipSync(text)]), 1e6)).toBe(text);
  const wide = "ü".repeat(100_000);
  expect(await textOf(new Blob([gzipSync(wide)]), 1e6)).toBe(wide);
});

test("what unpacks to more than is allowed is refused, and so is what is damaged", async () => {
  const bomb = new Blob([gzipSync("0".repeat(3_000_000))]);
  expect(bomb.size).toBeLessThan(10_000);
  expect(await textOf(bomb, 1_000_000)).toBeUndefined();
  const whole = gzipSync(text);
  expect(await textOf(new Blob([whole.subarray(0, 40)]), 1e6)).toBeUndefined();
  const damaged = Buffer.from(whole);
  damaged[20] = damaged[20]! ^ 0xff;
  expect(await textOf(new Blob([damaged]), 1e6)).toBeUndefined();
  expect(await textOf(new Blob([]), 1e6)).toBe("");
});
