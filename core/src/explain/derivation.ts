/** A figure taken apart: a tree whose parts combine to the value of the node above them. */
import type { DerivationCode, SourceId } from "./codes.ts";

// prettier-ignore
export type DerivationUnit =
  | "kg" | "g" | "L" | "L/h" | "L/km" | "L/camp" | "kg/L" | "kcal" | "kcal/day" | "kcal/kg" | "count" | "fraction" | "h" | "days"
  | "date" | "km" | "km/h" | "g/boil" | "kJ" | "g/kJ" | "C" | "K" | "R" | "R·W/m²K" | "W/m²" | "Wh";

export interface Derivation {
  /** What it is; the interface has the words. */
  code: DerivationCode;
  /** A name out of the plan, where the code alone does not say it: a piece of kit, a group. */
  name?: string;
  value: number;
  unit: DerivationUnit;
  /** How the parts make the value: added, multiplied, or the first divided by the second. */
  combine: "sum" | "product" | "quotient" | "leaf";
  /** Key of a published source or rule: an own one, or `question:school` of the registry. */
  source?: SourceId;
  parts: Derivation[];
}

/** Every leaf says where it comes from. */
export function leaf(code: DerivationCode, value: number, unit: DerivationUnit, source: SourceId): Derivation {
  return { code, value, unit, combine: "leaf", source, parts: [] };
}

function combined(combine: "sum" | "product" | "quotient") {
  return (
    code: DerivationCode,
    value: number,
    unit: DerivationUnit,
    parts: Derivation[],
    source?: SourceId,
  ): Derivation => ({
    code,
    value,
    unit,
    combine,
    ...(source === undefined ? {} : { source }),
    parts,
  });
}

export const sum = combined("sum");
export const product = combined("product");

/** A quotient whose divisor may be nothing: then the value stands alone, with the source it is given. */
export function quotient(
  code: DerivationCode,
  value: number,
  unit: DerivationUnit,
  dividend: Derivation,
  divisor: Derivation,
  source: SourceId = "days-planned",
): Derivation {
  return divisor.value === 0
    ? leaf(code, value, unit, source)
    : combined("quotient")(code, value, unit, [dividend, divisor]);
}

export function named(derivation: Derivation, name: string): Derivation {
  return { ...derivation, name };
}
