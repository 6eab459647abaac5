/** The camp and water sheet of a leg in words: places and nights together, in walking order. */
import { legSheet, type Plan, type PlanResult } from "@gepack/core";
import { sayIn } from "../words/say.ts";

export interface WaterLine {
  key: string;
  atM: number;
  name: string;
  what: string;
  heightM: number;
  toWaterM?: number | undefined;
  fill: string;
  night: boolean;
}

export function waterLines(plan: Plan, result: PlanResult, legIndex: number): WaterLine[] {
  const { places, nights } = legSheet(plan, result, legIndex);
  const say = sayIn(plan);
  const lines = [
    ...places.map(({ row, fromStartM, toWaterM }, i): WaterLine => {
      const off = row.offTrailM > 0 ? `${say.height(row.offTrailM)} off trail` : "";
      const doubtful = row.kind === "water" && !row.trusted ? "not counted on" : "";
      return {
        key: `place ${i}`,
        atM: fromStartM,
        name: row.name,
        what: [row.kind, row.kind === "water" ? row.detail : "", off, doubtful, row.note]
          .filter((part) => part !== "")
          .join(", "),
        heightM: row.heightM,
        toWaterM,
        fill: row.fillL?.some((litres) => litres > 0) ? row.fillL.map((litres) => say.L(litres)).join(" / ") : "",
        night: false,
      };
    }),
    ...nights.map((night): WaterLine => ({
      key: `night ${night.date}`,
      atM: night.fromStartM,
      name: `${say.date(night.date)}: ${night.campName ?? (night.bed ? "bed" : "camp")}`,
      what: `low ${say.C(night.lowC)}, coldest in ten hikes ${say.C(night.coldNightC)}`,
      heightM: night.heightM,
      fill: "",
      night: true,
    })),
  ];
  return lines.sort((a, b) => a.atM - b.atM);
}
