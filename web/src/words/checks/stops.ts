import { moreNights, passStop, startLater } from "../../mends/way.ts";
import { advice, mends } from "../../mends/mend.ts";
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
  const comes = `when you come on ${say.date(day)} at ${say.clock(comesH)}`;
  const again = `it opens on ${say.date(opens)} at ${say.clock(opensH)}`;
  if (wait === 0) return `${what} is shut ${comes}; ${again}: leave that much later.`;
  return `${what} is shut ${comes}, and until you leave; ${again}, ${wait === 1 ? "a night" : `${wait} nights`} later.`;
}

export const stopWords = checkWords({
  "stop-out-of-season": {
    mark: "season",
    station: "season",
    sentence: (check, say) =>
      `${check.stop} is closed on ${say.date(check.day)}, when you come; it opens on ${say.date(check.opens)}, ${say.days(check.wait)} later.`,
    mends: (check, on) =>
      mends(
        startLater(on, check.wait + IN_HAND_DAYS),
        passStop(on, check.stopId),
        advice("Ask there before you count on it: seasons move with the snow."),
      ),
  },
  "post-out-of-season": {
    mark: "post",
    station: "season",
    sentence: (check, say) =>
      `The post at ${check.stop} is closed on ${say.date(check.day)}, when you come; it opens on ${say.date(check.opens)}, ${say.days(check.wait)} later.`,
    mends: (check, on) =>
      mends(startLater(on, check.wait + IN_HAND_DAYS), advice("Send to the stop before or after it.")),
  },
  "shop-shut": {
    mark: "shut",
    station: "stops",
    sentence: (check, say) => shutSentence(`The shop at ${check.stop}`, check, say),
    mends: (check, on) =>
      mends(
        check.wait > 0 ? moreNights(on, check.stopId, check.wait) : undefined,
        check.wait > 0 ? passStop(on, check.stopId) : undefined,
        advice("Opening hours change: ring before you count on them."),
      ),
  },
  "counter-shut": {
    mark: "shut",
    station: "stops",
    sentence: (check, say) => shutSentence(`The post counter at ${check.stop}`, check, say),
    mends: (check, on) =>
      mends(
        check.wait > 0 ? moreNights(on, check.stopId, check.wait) : undefined,
        advice("Some hostels and shops take boxes at any hour: ask where to send it."),
      ),
  },
  "box-unsure": {
    mark: "post",
    station: "boxes",
    sentence: (check, say) =>
      check.severity === "note"
        ? `No one day is right for the box to ${check.stop}: for who comes early it is to be sent by ${say.date(check.by)}, for who comes late not before ${say.date(check.from)}.`
        : `The box for ${check.stop}, sent on ${say.date(check.from)}, is there in time with a chance of ${say.number(check.chance)} %; by ${say.date(check.by)} it would be there in all but a few cases.`,
    mends: (check, on) =>
      mends(
        moreNights(on, check.stopId, 1),
        advice("Ask the counter to hold it longer, send it from further back, or have somebody at home send it."),
      ),
  },
  "box-from-nowhere": {
    mark: "post",
    station: "boxes",
    sentence: (check) =>
      `Food for ${check.stop} is to be posted from a stop on the way, but none is chosen that comes before it.`,
    mends: () => [advice("Choose in Stops where it is bought, or let it come from home.")],
  },
  "ride-gone": {
    mark: "ride",
    station: "stops",
    sentence: (check, say) =>
      `You come to the road to ${check.stop} at ${say.clock(check.comesH)}; the last ride of the day leaves at ${say.clock(check.last)}.`,
    mends: (check, on) =>
      mends(passStop(on, check.stopId), advice("Pin the night before nearer to it, or see whether a lift can be had.")),
  },
  "food-not-sold": {
    mark: "shop",
    station: "stops",
    sentence: (check, say) =>
      `No food for the way on comes to ${check.stop}, by shop or by post: ${say.kg(check.have)} for the leg after it is carried from ${check.from || "the start"}.`,
    mends: (check, on) => mends(passStop(on, check.stopId), advice("Say in Stops what it offers, if it has more.")),
  },
  "fuel-not-sold": {
    mark: "fuel",
    station: "stops",
    sentence: (check, say) =>
      `${check.stop} sells none of your fuel: ${say.g(check.have)} for the leg after it is carried from ${check.from || "the start"}.`,
    mends: () => [advice("Most fuel may not be posted. Say in Stops what it offers, if it has more.")],
  },
  "piece-not-there": {
    mark: "post",
    station: "kit",
    sentence: (check) => `“${check.piece}” is to be ${check.how} at ${check.stop}, which offers nothing for that.`,
    mends: () => [advice("Move the swap to a stop with a post counter or a shop.")],
  },
  "stops-silent": {
    mark: "offers",
    station: "stops",
    sentence: (check, say) =>
      check.have === 1
        ? `${check.stop} does not say what it offers; food and fuel are taken there all the same.`
        : `${say.number(check.have)} stops, ${check.stop} first, do not say what they offer; food and fuel are taken there all the same.`,
    mends: () => [advice("Tick in Stops what they offer.")],
  },
});
