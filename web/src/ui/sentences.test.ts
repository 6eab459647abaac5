import { expect, test } from "vitest";
import { sentenceParts } from "./Sentences.tsx";

test("text and figures in turn, wherever the figures stand", () => {
  expect(sentenceParts("Above {heatSlowFromC} slower by {heatSlowPerK} a kelvin.")).toEqual([
    "Above ",
    "heatSlowFromC",
    " slower by ",
    "heatSlowPerK",
    " a kelvin.",
  ]);
  expect(sentenceParts("{pace.hoursFitH} is enough")).toEqual(["", "pace.hoursFitH", " is enough"]);
  expect(sentenceParts("No figure.")).toEqual(["No figure."]);
});
