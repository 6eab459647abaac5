/** One part of a figure taken apart, to be opened further: what it is, its value, its source. */
import { useState } from "react";
import { isoOfDay, M_PER_MI, type Derivation, type DerivationCode, type Plan } from "@gepack/core";
import { dayMonth, fixed, quantity, rounded } from "../units/quantity.ts";
import { derivationLabel, sourceWords } from "../words/derivations.ts";

const KM_PER_MI = M_PER_MI / 1000;

const SIGN = { sum: "", product: "× ", quotient: "÷ ", leaf: "" } as const;

/** The colours of what a pack is made of. */
const SWATCHES: Partial<Record<DerivationCode, string>> = {
  base: "kit",
  consumables: "rule",
  food: "food",
  water: "water",
  fuel: "fuel",
};

export function Part({
  part,
  plan,
  depth,
  combine,
}: {
  part: Derivation;
  plan: Plan;
  depth: number;
  combine: Derivation["combine"];
}) {
  // Kit has a row for every group: it opens on demand.
  const [open, setOpen] = useState(depth < 1 && part.code !== "base" && part.code !== "group");
  const swatch = depth === 0 ? SWATCHES[part.code] : undefined;
  const has = part.parts.length > 0;
  return (
    <li className={depth > 0 ? "border-l-2 border-rule pl-2.5" : ""}>
      <div className="flex items-baseline gap-2 py-[2px]" title={part.source ? sourceWords(part.source) : undefined}>
        {swatch && (
          <span className="inline-block size-2.5 shrink-0 rounded-[2px]" style={{ background: `var(--${swatch})` }} />
        )}
        {has ? (
          <button
            aria-expanded={open}
            className="text-left underline decoration-dotted underline-offset-3"
            onClick={() => setOpen(!open)}
          >
            {derivationLabel(part)}
          </button>
        ) : (
          <span>{derivationLabel(part)}</span>
        )}
        <span className="figure ml-auto font-semibold whitespace-nowrap">
          {SIGN[combine]}
          {derivationValue(part, plan)}
        </span>
      </div>
      {part.source && (!has || open) && (
        <div className="-mt-0.5 pb-1 text-xs text-muted">{sourceWords(part.source)}</div>
      )}
      {has && open && (
        <ul className="m-0 list-none p-0 pb-1">
          {part.parts.map((child, i) => (
            <Part key={i} part={child} plan={plan} depth={depth + 1} combine={i === 0 ? "sum" : part.combine} />
          ))}
        </ul>
      )}
    </li>
  );
}

export function derivationValue({ code, value, unit }: Derivation, plan: Plan): string {
  const units = plan.trip.units;
  // How full a battery is, is said in percent; factors are said as factors.
  if (code === "battery" || code === "battery-stored") return `${fixed(100 * value, 0)} %`;
  switch (unit) {
    case "kg":
      return quantity("mass", value, units, 2);
    case "L":
    case "L/camp":
      return quantity("volume", value, units, 2);
    case "kg/L":
      return `${quantity("mass", value, units, 3)}/L`;
    case "g/boil":
      return quantity("smallMass", value, units, 1);
    case "g":
      return quantity("smallMass", value, units);
    case "kcal":
    case "kcal/day":
    case "kcal/kg":
      return `${fixed(value, 0)} ${unit}`;
    case "h":
    case "days":
      return `${fixed(value, 1)} ${unit}`;
    case "fraction":
      return Math.abs(value) < 0.01 ? String(rounded(value, 4)) : fixed(value, 3);
    case "date":
      return dayMonth(isoOfDay(value));
    case "km":
      return quantity("distance", value * 1000, units, 1);
    case "km/h":
      return units.distance === "km" ? `${fixed(value, 2)} km/h` : `${fixed(value / KM_PER_MI, 2)} mi/h`;
    case "L/h":
      return `${quantity("volume", value, units, 2)}/h`;
    case "L/km":
      return `${fixed(value, 3)} L/km`;
    case "C":
      return quantity("temperature", value, units, 1);
    case "K":
      return units.temperature === "C" ? `${fixed(value, 1)} K` : `${fixed(value * 1.8, 1)} °F`;
    case "R":
      return `R ${fixed(value, 2)}`;
    case "kJ":
    case "Wh":
    case "W/m²":
      return `${fixed(value, 1)} ${unit}`;
    case "R·W/m²K":
      return fixed(value, 1);
    case "g/kJ":
      return `${fixed(value, 4)} g/kJ`;
    case "count":
      return fixed(value, value % 1 === 0 ? 0 : 1);
  }
}
