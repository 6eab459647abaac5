/** Figures as the hiker reads them: number and unit in the units of the plan. */
import { KG_PER_LB, M_PER_MI, type Plan } from "@gepack/core";
import { dayMonth, fixed, quantity } from "../units/quantity.ts";

export interface Say {
  kg: (value: number, digits?: number) => string;
  g: (value: number) => string;
  L: (value: number, digits?: number) => string;
  /** A way along the ground, metres in. */
  distance: (metres: number) => string;
  /** A height, metres in. */
  height: (metres: number) => string;
  C: (celsius: number) => string;
  /** A difference of temperatures, kelvin in. */
  degrees: (kelvin: number) => string;
  R: (value: number) => string;
  kcal: (value: number) => string;
  Wh: (value: number) => string;
  days: (value: number) => string;
  hours: (value: number) => string;
  /** An hour of the day. */
  clock: (hours: number) => string;
  percent: (value: number) => string;
  number: (value: number, digits?: number) => string;
  /** With the year where it is not that of the start. */
  date: (iso: string) => string;
  /** In what the plan calls money. */
  money: (value: number, digits?: number) => string;
  /** A mass carried along a way, kg·km in. */
  carried: (kgKm: number) => string;
}

/** Local mean time as it stands on a clock; past midnight it is said to be the next day. */
function clockTime(hours: number): string {
  const minutes = Math.round(hours * 60);
  const two = (value: number): string => String(value).padStart(2, "0");
  const time = `${two(Math.floor(minutes / 60) % 24)}:${two(minutes % 60)}`;
  return minutes >= 24 * 60 ? `${time} the next day` : time;
}

export function sayIn(plan: Plan): Say {
  const { units, startDate } = plan.trip;
  const startYear = startDate.slice(0, 4);
  return {
    kg: (value, digits) => quantity("mass", value, units, digits),
    g: (value) => quantity("smallMass", value, units),
    L: (value, digits) => quantity("volume", value, units, digits),
    // Less than half a unit is shown with its decimal: no distance that is there is shown as none.
    distance: (metres) => quantity("distance", metres, units, metres > 0 && metres < 500 ? 1 : 0),
    height: (metres) => quantity("height", metres, units),
    C: (celsius) => quantity("temperature", celsius, units),
    degrees: (kelvin) => `${fixed(units.temperature === "F" ? 1.8 * kelvin : kelvin, 1)} °${units.temperature}`,
    R: (value) => `R ${fixed(value, 1)}`,
    Wh: (value) => `${fixed(value, 0)} Wh`,
    kcal: (value) => `${fixed(value, 0)} kcal`,
    days: (value) => (value === 1 ? "1 day" : `${fixed(value, value % 1 === 0 ? 0 : 1)} days`),
    hours: (value) => `${fixed(value, 1)} h`,
    clock: clockTime,
    percent: (value) => `${fixed(value, 0)} %`,
    number: (value, digits = 0) => fixed(value, digits),
    date: (iso) => dayMonth(iso, startYear),
    money: (value, digits = 0) =>
      `${fixed(value, digits)}${plan.resupply.money === "" ? "" : ` ${plan.resupply.money}`}`,
    carried: (kgKm) => {
      const kg = units.mass === "lb" ? 1 / KG_PER_LB : 1;
      const km = units.distance === "mi" ? 1000 / M_PER_MI : 1;
      return `${fixed(kgKm * kg * km, 0)} ${units.mass}·${units.distance}`;
    },
  };
}
