import { advice, mends } from "../../mends/mend.ts";
import { fewerZeros, startEarlier, startLater, unpin, useStopOnLeg } from "../../mends/way.ts";
import { checkWords } from "./words.ts";

/** What stands against a pinned night. */
const WHY: Record<string, string> = {
  "off-route": "lies on ground that is not walked",
  past: "has a date before the start",
  crossed: "and another pin want a later place on an earlier or the same date",
  forbidden: "lies where camping is forbidden, and no bed is told",
  passed:
    "is passed by: it is farther beyond the day’s walking than it may make the day longer, or beside a stop with its own night",
};

export const daysWords = checkWords({
  "pin-not-held": {
    mark: "pin",
    station: "days",
    sentence: (check, say) => {
      const pin = `The pin${check.pin === "" ? "" : ` “${check.pin}”`} of ${say.date(check.wanted)}`;
      const comes = `you come on ${say.date(check.comes)}`;
      if (check.why === "late" || check.why === "early")
        return `${pin} does not hold: ${comes}, ${say.days(check.days)} ${check.why === "late" ? "too late" : "too early"}.`;
      return `${pin} ${WHY[check.why] ?? `does not hold (${check.why})`}; ${comes}.`;
    },
    mends: (check, on) =>
      mends(
        check.why === "late" ? startEarlier(on, check.days) : undefined,
        check.why === "early" ? startLater(on, check.days) : undefined,
        unpin(on, check.pinId),
        advice("Move the pin, or see in Days what it takes to be there on that day."),
      ),
  },
  "finish-late": {
    mark: "late",
    station: "trip",
    sentence: (check, say) =>
      `Arrival on ${say.date(check.have)} is ${say.days(check.late)} after the wanted ${say.date(check.limit)}.`,
    mends: (check, on) =>
      mends(startEarlier(on, check.late), fewerZeros(on), advice("Or walk more hours a day, in Days.")),
  },
  "camp-forbidden": {
    mark: "camp",
    station: "legs",
    sentence: (check, say) =>
      `The night of ${say.date(check.day)} falls where camping is forbidden, and no allowed place is in reach.`,
    mends: (check, on) =>
      mends(
        check.legIndex === undefined ? undefined : useStopOnLeg(on, check.legIndex),
        advice("Walk more hours that day, or list a camp before it."),
      ),
  },
  "bed-missing": {
    mark: "camp",
    station: "trail",
    sentence: (check, say) =>
      check.have === 1
        ? `No bed is in reach for the night of ${say.date(check.day)}.`
        : `${say.number(check.have)} nights without a bed in reach, the first on ${say.date(check.day)}.`,
    mends: (check, on) =>
      mends(
        check.legIndex === undefined ? undefined : useStopOnLeg(on, check.legIndex),
        advice("List the beds of the way in Trail, walk other hours, or carry what a night outside takes."),
      ),
  },
  "high-sleep": {
    mark: "heights",
    station: "legs",
    sentence: (check, say) =>
      `A night at ${say.height(check.have)}, ${say.height(check.gain)} higher than any before that counts: thin air makes some ill, whoever they are and however fit.`,
    mends: () => [
      advice(
        "Above 2,500 m sleep no more than 500 m higher a night, with a rest day every third; headache with sickness means down, at once. Ask a doctor before you go.",
      ),
    ],
  },
  "long-days": {
    mark: "hours",
    station: "trip",
    sentence: (check, say) =>
      `${check.days === 1 ? "A day" : `${say.days(check.days)}`} of more than ${say.hours(check.limit)} on the feet, the longest of ${say.hours(check.have)}: strains and falls grow with such hours.`,
    mends: () => [advice("Walk fewer hours a day in Days, or put a camp before the stop.")],
  },
  "short-sleep": {
    mark: "sleep",
    station: "trip",
    sentence: (check, say) =>
      `${say.hours(Math.max(0, check.have))} of sleep at the least, under ${say.hours(check.limit)} on ${check.days === 1 ? "one night" : `${say.number(check.days)} nights`}: judgement fails first, and falls follow.`,
    mends: () => [advice("Walk fewer hours, or set out later. Who is short of sleep does not drive, climb or ford.")],
  },
  "heights-missing": {
    mark: "heights",
    station: "trail",
    sentence: () =>
      "The track has no heights: climb and pace are worked out as if it were flat, and the weather is that of the stations’ own heights. Higher up it is colder, and lower down hotter, than shown.",
    mends: () => [advice("Use a track with heights.")],
  },
  "not-settled": {
    mark: "rough",
    station: "legs",
    sentence: (check, say) => `Weights still moved by ${say.g(check.move)} when the calculation stopped.`,
    mends: () => [],
  },
});
