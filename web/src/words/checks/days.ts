import { advice, fixes } from "../../fixes/fix.ts";
import { fewerZeros, startEarlier, startLater, unpin, useStopOnLeg } from "../../fixes/schedule.ts";
import { checkWords } from "./words.ts";

/** What stands against a pinned night. */
const WHY: Record<string, string> = {
  "off-route": "is on a part of the trail you don’t walk",
  past: "is before the start date",
  crossed: "conflicts with another pin: a later place on the same or an earlier date",
  forbidden: "is in a no-camping area with no bed listed",
  passed: "can’t be kept: it’s further than the extra hours allow, or next to a stop with its own night",
};

export const daysWords = checkWords({
  "pin-missed": {
    mark: "pin",
    station: "days",
    sentence: (check, say) => {
      const pin = `The pin${check.pin === "" ? "" : ` “${check.pin}”`} of ${say.date(check.wanted)}`;
      const comes = `you get there on ${say.date(check.comes)}`;
      if (check.why === "late" || check.why === "early")
        return `${pin} can’t be kept: ${comes}, ${say.days(check.days)} ${check.why === "late" ? "too late" : "too early"}.`;
      return `${pin} ${WHY[check.why] ?? `can’t be kept (${check.why})`}; ${comes}.`;
    },
    fixes: (check, on) =>
      fixes(
        check.why === "late" ? startEarlier(on, check.days) : undefined,
        check.why === "early" ? startLater(on, check.days) : undefined,
        unpin(on, check.pinId),
        advice("Move the pin, or check in Days what it takes to be there that day."),
      ),
  },
  "finish-late": {
    mark: "late",
    station: "trip",
    sentence: (check, say) =>
      `You arrive on ${say.date(check.have)}, ${say.days(check.late)} after your target of ${say.date(check.limit)}.`,
    fixes: (check, on) =>
      fixes(startEarlier(on, check.late), fewerZeros(on), advice("Or walk more hours a day, in Days.")),
  },
  "camp-forbidden": {
    mark: "camp",
    station: "legs",
    sentence: (check, say) =>
      `The night of ${say.date(check.day)} falls where camping is forbidden, with no legal site in reach.`,
    fixes: (check, on) =>
      fixes(
        check.legIndex === undefined ? undefined : useStopOnLeg(on, check.legIndex),
        advice("Walk longer that day, or add a camp before it."),
      ),
  },
  "bed-missing": {
    mark: "camp",
    station: "trail",
    sentence: (check, say) =>
      check.have === 1
        ? `No bed is in reach for the night of ${say.date(check.day)}.`
        : `${say.number(check.have)} nights without a bed in reach, the first on ${say.date(check.day)}.`,
    fixes: (check, on) =>
      fixes(
        check.legIndex === undefined ? undefined : useStopOnLeg(on, check.legIndex),
        advice("Add the beds along the trail in Trail, change your hours, or carry gear for a night outside."),
      ),
  },
  "high-sleep": {
    mark: "altitude",
    station: "legs",
    sentence: (check, say) =>
      `A night at ${say.height(check.have)}, ${say.height(check.gain)} above your highest night so far: altitude can make anyone ill, however fit.`,
    fixes: () => [
      advice(
        "Above 2,500 m, sleep at most 500 m higher each night and take a rest day every third night. A headache with nausea means descend at once. See a doctor before you go.",
      ),
    ],
  },
  "long-days": {
    mark: "hours",
    station: "trip",
    sentence: (check, say) =>
      `${check.days === 1 ? "One day" : `${say.days(check.days)}`} of more than ${say.hours(check.limit)} on your feet, the longest ${say.hours(check.have)}: strains and falls increase with such hours.`,
    fixes: () => [advice("Walk fewer hours a day (Days), or add a camp before the stop.")],
  },
  "short-sleep": {
    mark: "sleep",
    station: "trip",
    sentence: (check, say) =>
      `As little as ${say.hours(Math.max(0, check.have))} of sleep; less than ${say.hours(check.limit)} on ${check.days === 1 ? "one night" : `${say.number(check.days)} nights`}. Judgement fails first, and falls follow.`,
    fixes: () => [advice("Walk fewer hours, or start later. Don’t drive, climb or ford when short of sleep.")],
  },
  "heights-missing": {
    mark: "elevation",
    station: "trail",
    sentence: () =>
      "The track has no elevations: climb and pace are calculated as if it were flat. Temperatures are for the elevation of the weather stations. Higher up it will be colder, and lower down hotter, than shown.",
    fixes: () => [advice("Use a track with elevations.")],
  },
  "not-settled": {
    mark: "unsettled",
    station: "legs",
    sentence: (check, say) => `Weights were still changing by ${say.g(check.move)} when the calculation stopped.`,
    fixes: () => [],
  },
});
