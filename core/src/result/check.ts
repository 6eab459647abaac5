/** What falls short, why, and what would mend it: codes and values; the interface has the words. */

export type CheckCode =
  | "load-over-comfort"
  | "carry-over-bottles"
  | "food-over-pack"
  | "food-over-canister"
  | "canister-missing"
  | "leg-over-ten-days"
  | "night-below-bag"
  | "pad-too-thin"
  | "finish-late"
  | "food-below-resting"
  | "untrusted-water"
  | "kit-piece-twice"
  | "kit-piece-gap"
  | "kit-stop-gone"
  | "kit-stop-unused"
  | "kit-role-gap"
  | "climate-assumed"
  | "heights-missing"
  | "not-settled"
  | "drink-limit"
  | "deficit-adds-up"
  | "fat-too-low"
  | "food-too-dense"
  | "protein-low"
  | "energy-availability"
  | "battery-flat"
  | "spare-cells-short"
  | "camp-forbidden"
  | "heat-stress"
  | "stove-too-cold"
  | "outside-model";

export type MendCode =
  | "add-stop"
  | "post-food"
  | "lighten-kit"
  | "stronger-pack"
  | "more-bottles"
  | "trust-source"
  | "split-carry"
  | "bigger-pack"
  | "bigger-canister"
  | "carry-canister"
  | "warmer-bag"
  | "add-liner"
  | "add-pad"
  | "start-earlier"
  | "more-hours"
  | "fewer-zeros"
  | "less-shortfall"
  | "fix-span"
  | "use-stop"
  | "add-piece"
  | "add-stations"
  | "walk-cool-hours"
  | "ask-about-source"
  | "own-menu"
  | "more-protein"
  | "bigger-bank"
  | "use-less-power"
  | "more-cells"
  | "warm-canister"
  | "other-school";

export type FigureUnit =
  | "kg"
  | "L"
  | "m"
  | "C"
  | "R"
  | "kcal/day"
  | "kcal"
  | "kcal/kg"
  | "kcal/g"
  | "g/kg"
  | "days"
  | "date"
  | "g"
  | "%"
  | "Wh"
  | "min"
  | "count"
  | "name";

export interface Figure {
  value: number | string;
  unit: FigureUnit;
}

export interface Check {
  code: CheckCode;
  severity: "blocker" | "caution" | "note";
  legIndex: number | undefined;
  hikerId: string | undefined;
  /** Distance in walking order where it bites. */
  atM: number | undefined;
  figures: Record<string, Figure>;
  mends: MendCode[];
}
