import { advice } from "../../fixes/fix.ts";
import { checkWords } from "./words.ts";

const KIND: Record<string, string> = {
  permit: "needs a permit",
  "own-rule": "has its own rule",
  hazard: "is marked as a hazard",
  insects: "has biting insects on these dates",
  animals: "is known for wildlife",
  "faint-path": "is hard to follow",
};
const ADVICE: Record<string, string> = {
  permit: "Get it before you start, and keep it where you can show it.",
  "own-rule": "The land manager’s rules come first.",
  hazard: "Ask locally before you go in, and turn back if it looks wrong.",
  insects: "Carry a head net, long sleeves and a tent that closes; in tick country, check yourself every evening.",
  animals: "Ask the rangers about food storage, what to carry against animals, and where not to camp.",
  "faint-path": "Carry a map and compass as well as your phone, and allow more time than the distance suggests.",
};

export const stretchWords = checkWords({
  ticks: {
    mark: "ticks",
    station: "season",
    sentence: (check) =>
      `Ticks are active in “${check.stretch}” on ${check.days === 1 ? "one day" : `${check.days} days`} of this leg, judging by its warmth.`,
    fixes: () => [
      advice(
        "Wear long trousers and check yourself every evening. Follow your doctor’s and the land manager’s advice.",
      ),
    ],
  },
  "rule-ahead": {
    mark: "ahead",
    station: "trail",
    sentence: (check) =>
      `${check.stretch === "" ? "A stretch" : `“${check.stretch}”`} ${KIND[check.kind] ?? `is a stretch of the kind ${check.kind}`}${check.more.trim() === "" ? "" : `: ${check.more.trim().replace(/[.]$/, "")}`}.`,
    fixes: (check) => [advice(ADVICE[check.kind] ?? "Check the rules before you go.")],
  },
});
