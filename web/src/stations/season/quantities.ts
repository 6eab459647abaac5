/** What the plane can show: each quantity with its words, its range of colours, and how it is said. */
import type { PlaneQuantity, Units } from "@gepack/core";
import { fixed, quantity } from "../../units/quantity.ts";

export interface Shown {
  id: PlaneQuantity;
  name: string;
  /** Ends of the ramp, and the colours there. */
  from: number;
  to: number;
  colours: readonly [string, string, string?];
  say: (value: number, units: Units) => string;
}

const celsius = (value: number, units: Units): string => quantity("temperature", value, units);

export const SHOWN: readonly Shown[] = [
  {
    id: "coldNightC",
    name: "Night low",
    from: -20,
    to: 15,
    colours: [
      "color-mix(in oklab, var(--water) 70%, var(--ink))",
      "color-mix(in oklab, var(--water) 60%, var(--sheet))",
      "var(--sheet)",
    ],
    say: celsius,
  },
  {
    id: "hotDayC",
    name: "Day high",
    from: 10,
    to: 42,
    colours: ["var(--sheet)", "var(--food)", "var(--danger)"],
    say: celsius,
  },
  {
    id: "snowCover",
    name: "Snow",
    from: 0,
    to: 1,
    colours: ["var(--sheet)", "var(--kit)"],
    say: (value) => (value >= 0.8 ? "snow" : value >= 0.1 ? `${Math.round(100 * value)} % under snow` : "no snow"),
  },
  {
    id: "wetChance",
    name: "Wet days",
    from: 0,
    to: 0.7,
    colours: ["var(--sheet)", "var(--water)"],
    say: (value) => `${Math.round(100 * value)} % wet days`,
  },
  {
    id: "daylightH",
    name: "Daylight",
    from: 4,
    to: 20,
    colours: ["color-mix(in oklab, var(--ink) 85%, var(--sheet))", "var(--muted)", "var(--sheet)"],
    say: (value) => `${fixed(value, 1)} h of daylight`,
  },
  {
    id: "insects",
    name: "Insects",
    from: 0,
    to: 3,
    colours: ["var(--sheet)", "var(--food)"],
    say: (value) => INSECTS[Math.round(value)] ?? "",
  },
  {
    id: "streams",
    name: "Streams",
    from: 0,
    to: 1.2,
    colours: ["var(--sheet)", "var(--water)", "var(--danger)"],
    say: (value) =>
      value < 0.05 ? "no snowmelt in the streams" : `streams at ${Math.round(100 * value)} % of their melt peak`,
  },
  {
    id: "sources",
    name: "Water",
    from: 0,
    to: 1,
    colours: ["var(--caution)", "var(--sheet)", "var(--water)"],
    say: (value) => (Number.isNaN(value) ? "no water source nearby" : `flowing ${Math.round(10 * value)} times in ten`),
  },
];
export const INSECTS = ["no insects", "few insects", "insects", "many insects"];
