import { expect, test } from "vitest";
import { emptied } from "./drafts.ts";

test("a field is emptied of what was stored, and keeps what was typed while it was being stored", () => {
  expect(emptied("fleece 241 g")("fleece 241 g")).toBe("");
  expect(emptied("fleece 241 g")("2 x anvil 3 kg")).toBe("2 x anvil 3 kg");
});
