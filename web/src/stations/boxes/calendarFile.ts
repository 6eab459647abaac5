/** Days to send and to fetch boxes as an iCalendar file. */
import { createEvents, type EventAttributes } from "ics";
import { dayNumber, isoOfDay, sendingDates, type PlannedBox, type Plan } from "@gepack/core";
import { boxName } from "../../words/boxes.ts";
import type { Say } from "../../words/say.ts";

const ymd = (iso: string): [number, number, number] => iso.split("-").map(Number) as [number, number, number];

export function boxesAsCalendar(plan: Plan, boxes: readonly PlannedBox[], say: Say): string {
  const events = boxes.flatMap((box): EventAttributes[] => {
    const name = boxName(box, plan);
    const { by } = sendingDates(box);
    const day = (kind: string, iso: string, title: string, description: string): EventAttributes => ({
      uid: `${plan.id}-${box.key.replaceAll(" ", "-")}-${kind}@gepack`,
      productId: "gepack",
      start: ymd(iso),
      end: ymd(isoOfDay(dayNumber(iso)! + 1)),
      title,
      description,
    });
    return [
      day(
        "send",
        by,
        `Send the box to ${name}`,
        `${say.kg(box.totalG / 1000)}. The last day with a chance of 95 % that it is there in time. ${box.row?.address ?? ""}`,
      ),
      day(
        "fetch",
        isoOfDay(box.earliestDay),
        `The box to ${name} should be there`,
        `You come between ${say.date(isoOfDay(box.earliestDay))} and ${say.date(isoOfDay(box.latestDay))}; it is held ${say.days(box.holdDays)}.`,
      ),
    ];
  });
  const { error, value } = createEvents(events, { calName: `${plan.trip.name}, boxes` });
  if (!value) throw error ?? new Error("The calendar could not be written.");
  return value;
}
