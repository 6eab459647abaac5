import { describe, expect, test } from "vitest";
import { advisedPieces, readAdvice } from "./advice.ts";

const file = (more: object = {}): string =>
  JSON.stringify({
    format: "gepack-advice",
    version: 1,
    from: "Ines",
    on: "2027-03-01",
    marks: [
      { id: "chair", name: "Chair", said: "home", remark: "sit on your pad" },
      { id: "old", name: " rain JACKET", said: "change", remark: "" },
      { id: "pot", name: "Pot", remark: "  " },
      { id: "gone", name: "Umbrella", said: "keep", remark: "" },
    ],
    ...more,
  });
const kit = [
  { id: "chair", name: "Folding chair" },
  { id: "jacket", name: "Rain jacket" },
  { id: "pot", name: "Pot" },
];

describe("marks of a friend", () => {
  test("lie beside their pieces: by id, else by name; what says nothing is none, what is gone stays to be read", () => {
    const { value, problems } = readAdvice(file());
    expect(problems).toEqual([]);
    expect(advisedPieces(kit, value!).map(({ mark, pieceId }) => [mark.name.trim(), mark.said, pieceId])).toEqual([
      ["Chair", "home", "chair"],
      ["rain JACKET", "change", "jacket"],
      ["Umbrella", "keep", undefined],
    ]);
  });

  test.each([
    ["", /isn’t a file of marks/],
    ["{", /isn’t a file of marks/],
    ["[1]", /isn’t a file of marks/],
    ['{"format":"gepack-plan"}', /isn’t a file of marks/],
    [file({ on: "yesterday" }), /can’t be read/],
    [file({ marks: [{ id: "a", name: "b", said: "burn" }] }), /can’t be read/],
    [file({ version: 9 }), /can’t be read/],
  ])("%s is refused with a sentence", (text, why) => {
    const { value, problems } = readAdvice(text);
    expect(value).toBeUndefined();
    expect(problems[0]!.sentence).toMatch(why);
  });
});
