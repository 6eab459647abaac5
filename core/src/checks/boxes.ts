/** Boxes as they are packed and sent: too heavy for the carrier, with things in them that no post takes, sent late. */
import type { BoxFault } from "../boxes/boxes.ts";
import { isoOfDay } from "../units/day.ts";
import { defineCheck, type CheckContext } from "./check.ts";

type FaultOf<Kind extends BoxFault["kind"]> = Extract<BoxFault, { kind: Kind }>;

function* faultsOf<Kind extends BoxFault["kind"]>({ plan, result, boxes }: CheckContext, kind: Kind) {
  for (const box of boxes)
    for (const fault of box.faults)
      if (fault.kind === kind) {
        const { fromM: atM } = result.legs[box.legIndex]!;
        const stop = plan.stops.find(({ id }) => id === box.toStopId)!.name;
        yield { box, fault: fault as FaultOf<Kind>, where: { legIndex: box.legIndex, atM, stop } };
      }
}

const boxTooHeavy = defineCheck({
  code: "box-too-heavy",
  units: { stop: "name", have: "kg", limit: "kg" },
  *find(context) {
    for (const { box, fault, where } of faultsOf(context, "too-heavy"))
      yield { severity: "caution", ...where, have: box.totalG / 1000, limit: fault.limitKg };
  },
});

const boxNotByPost = defineCheck({
  code: "box-not-by-post",
  units: { stop: "name", piece: "name" },
  *find(context) {
    for (const { fault, where } of faultsOf(context, "not-by-post"))
      for (const pieceId of fault.pieceIds)
        yield { severity: "caution", ...where, piece: context.plan.kit.find(({ id }) => id === pieceId)!.name };
  },
});

const boxSentLate = defineCheck({
  code: "box-sent-late",
  units: { stop: "name", late: "days", chance: "%" },
  *find(context) {
    for (const { box, fault, where } of faultsOf(context, "sent-late"))
      yield { severity: "caution", ...where, late: fault.days, chance: 100 * box.chance };
  },
});

/** The day to send is that with the best chance, and even that may not be good: far down the trail none is. */
const boxUnsure = defineCheck({
  code: "box-unsure",
  units: { stopId: "name", stop: "name", date: "date", chance: "%", word: "name", wordChance: "%" },
  *find(context) {
    for (const { box, where } of faultsOf(context, "unsure"))
      yield {
        severity: "caution",
        ...where,
        stopId: box.toStopId,
        date: isoOfDay(box.sentDay),
        chance: 100 * box.chance,
        word: context.plan.stops.find(({ id }) => id === box.onWord?.stopId)?.name ?? "",
        wordChance: 100 * (box.onWord?.chance ?? 0),
      };
  },
});

export const boxChecks = [boxTooHeavy, boxNotByPost, boxSentLate, boxUnsure] as const;
