import { moreNights, passStop, startLater, walkOn, walkOnEverywhere } from "../../fixes/schedule.ts";
import { advice, fixes } from "../../fixes/fix.ts";
import type { Say } from "../say.ts";
import { checkWords } from "./words.ts";

/** Another start walks other days: so many in hand, or one comes a day too early again. */
const IN_HAND_DAYS = 2;

interface Shut {
  day: string;
  comesH: number;
  opens: string;
  opensH: number;
  wait: number;
}

function shutSentence(what: string, { day, comesH, opens, opensH, wait }: Shut, say: Say): string {
  const comes = `when you arrive on ${say.date(day)} at ${say.clock(comesH)}`;
  const again = `it opens on ${say.date(opens)} at ${say.clock(opensH)}`;
  if (wait === 0) return `${what} is closed ${comes}; ${again}. You wait until then.`;
  return `${what} is closed ${comes} and until you leave; ${again}, ${wait === 1 ? "a night" : `${wait} nights`} later.`;
}

export const stopWords = checkWords({
  "stop-out-of-season": {
    mark: "season",
    station: "season",
    sentence: (check, say) =>
      `${check.stop} is closed on ${say.date(check.day)}, when you arrive; it opens on ${say.date(check.opens)}, ${say.days(check.wait)} later.`,
    fixes: (check, on) =>
      fixes(
        startLater(on, check.wait + IN_HAND_DAYS),
        passStop(on, check.stopId),
        advice("Ask there before you count on it: seasons move with the snow."),
      ),
  },
  "post-out-of-season": {
    mark: "post",
    station: "season",
    sentence: (check, say) =>
      `The post office at ${check.stop} is closed on ${say.date(check.day)}, when you arrive; it opens on ${say.date(check.opens)}, ${say.days(check.wait)} later.`,
    fixes: (check, on) =>
      fixes(startLater(on, check.wait + IN_HAND_DAYS), advice("Mail it to the stop before or after.")),
  },
  "shop-shut": {
    mark: "closed",
    station: "stops",
    sentence: (check, say) => shutSentence(`The shop at ${check.stop}`, check, say),
    fixes: (check, on) =>
      fixes(
        check.wait > 0 ? moreNights(on, check.stopId, check.wait) : undefined,
        check.wait > 0 ? passStop(on, check.stopId) : undefined,
        advice("Opening hours change: call before you count on them."),
      ),
  },
  "counter-shut": {
    mark: "closed",
    station: "stops",
    sentence: (check, say) => shutSentence(`The post office at ${check.stop}`, check, say),
    fixes: (check, on) =>
      fixes(
        check.wait > 0 ? moreNights(on, check.stopId, check.wait) : undefined,
        advice("Some hostels and shops accept boxes at any hour: ask where to send it."),
      ),
  },
  "stop-in-the-morning": {
    mark: "days",
    station: "stops",
    sentence: (check, say) =>
      `You reach ${check.stop} on ${say.date(check.day)} at ${say.clock(check.comesH)}, after ${say.hours(check.have)} of walking, and stay the night.`,
    fixes: (check, on) =>
      fixes(
        walkOn(on, check.stopId),
        walkOnEverywhere(on),
        advice("A short day into town is rest as well: keep it where you need one."),
      ),
  },
  "box-from-nowhere": {
    mark: "post",
    station: "boxes",
    sentence: (check) => `Food for ${check.stop} is set to be mailed from another stop, but none before it is chosen.`,
    fixes: () => [advice("In Stops, choose where it’s bought, or have it sent from home.")],
  },
  "ride-gone": {
    mark: "ride",
    station: "stops",
    sentence: (check, say) =>
      `You reach the road to ${check.stop} at ${say.clock(check.comesH)}; the day’s last ride leaves at ${say.clock(check.last)}.`,
    fixes: (check, on) =>
      fixes(
        passStop(on, check.stopId),
        advice("Pin the night before closer to it, or check whether you can hitch a ride."),
      ),
  },
  "food-not-sold": {
    mark: "shop",
    station: "stops",
    sentence: (check, say) =>
      `${check.stop} has no food for the next leg, in a shop or by mail. You carry ${say.kg(check.have)} for it from ${check.from || "the start"}.`,
    fixes: (check, on) => fixes(passStop(on, check.stopId), advice("If it offers more, tick it in Stops.")),
  },
  "fuel-not-sold": {
    mark: "fuel",
    station: "stops",
    sentence: (check, say) =>
      `${check.stop} doesn’t sell your fuel: you carry ${say.g(check.have)} for the next leg from ${check.from || "the start"}.`,
    fixes: () => [advice("Most fuel can’t be mailed. If the stop offers more, tick it in Stops.")],
  },
  "piece-not-there": {
    mark: "post",
    station: "kit",
    sentence: (check) =>
      `“${check.piece}” is to be ${check.how} at ${check.stop}, but nothing there makes that possible.`,
    fixes: () => [advice("Move the swap to a stop with a post office or a shop.")],
  },
  "stops-silent": {
    mark: "offers",
    station: "stops",
    sentence: (check, say) =>
      check.have === 1
        ? `${check.stop} doesn’t say what it offers; food and fuel are assumed to be available.`
        : `${say.number(check.have)} stops, ${check.stop} first, don’t say what they offer; food and fuel are assumed to be available.`,
    fixes: () => [advice("Tick what they offer in Stops.")],
  },
});
