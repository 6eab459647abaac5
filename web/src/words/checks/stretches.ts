import { advice } from "../../mends/mend.ts";
import { checkWords } from "./words.ts";

const KIND: Record<string, string> = {
  permit: "needs a permit",
  "own-rule": "has a rule of its own",
  hazard: "is marked as a hazard",
  insects: "has its insects in these days",
  animals: "is told for its animals",
  "faint-path": "is hard to follow",
};
const ADVICE: Record<string, string> = {
  permit: "Get it before you set out, and carry it where it can be shown.",
  "own-rule": "What the land manager says goes first.",
  hazard: "Ask on the spot before you go in, and turn back where it looks wrong.",
  insects: "Net, long sleeves and a tent that shuts; where ticks are, look yourself over every evening.",
  animals:
    "Ask the rangers what holds there: how food is kept, what is carried against animals, and where not to camp.",
  "faint-path": "Map and compass as well as the phone, and more time than the kilometres say.",
};

export const stretchWords = checkWords({
  ticks: {
    mark: "ticks",
    station: "season",
    sentence: (check) =>
      `Ticks are about in “${check.stretch}” on ${check.days === 1 ? "one day" : `${check.days} days`} of the leg, by its warmth.`,
    mends: () => [
      advice("Long trousers, and look yourself over every evening. What a doctor and the land manager say goes first."),
    ],
  },
  "told-ahead": {
    mark: "ahead",
    station: "trail",
    sentence: (check) =>
      `${check.stretch === "" ? "A stretch" : `“${check.stretch}”`} ${KIND[check.kind] ?? `is a stretch of the kind ${check.kind}`}${check.more.trim() === "" ? "" : `: ${check.more.trim().replace(/[.]$/, "")}`}.`,
    mends: (check) => [advice(ADVICE[check.kind] ?? "Look it up before you go.")],
  },
});
