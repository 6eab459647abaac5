/** The hiker that the bar at the top has chosen: their settings as rows and choices, each edit one step. */
import type { ReactNode } from "react";
import type { Hiker, Plan } from "@gepack/core";
import { editRow } from "../edit/rows.ts";
import type { Made } from "../store/made.ts";
import { useSelection } from "../store/selection.ts";
import { FieldRows, type FieldRow } from "./FieldNumber.tsx";
import { Pick } from "./Pick.tsx";
import { firstName } from "../words/names.ts";

export type ChangeHiker = (label: string, recipe: (hiker: Hiker, made: Made) => void) => void;

export function useHiker(plan: Plan): Hiker {
  return plan.hikers[useSelection((state) => state.hikerIndex)] ?? plan.hikers[0]!;
}

export function changeHiker(hiker: Hiker): ChangeHiker {
  return (label, recipe) => void editRow("hikers", hiker.id, `${firstName(hiker)}: ${label}`, recipe);
}

/** A label within a sentence. */
const inSentence = (label: string): string => `${label[0]!.toLowerCase()}${label.slice(1)}`;

interface Props {
  plan: Plan;
  hiker: Hiker;
}

export function HikerRows({ plan, hiker, list }: Props & { list: readonly FieldRow[] }): ReactNode {
  return (
    <FieldRows
      of="hikers"
      id={hiker.id}
      record={hiker}
      list={list}
      units={plan.trip.units}
      change={(label, recipe) => changeHiker(hiker)(inSentence(label), recipe)}
    />
  );
}

interface ChoiceProps<T extends string> {
  hiker: Hiker;
  label: string;
  value: T;
  options: Record<T, string>;
  set: (hiker: Hiker, value: T) => void;
}

export function HikerChoice<T extends string>({ hiker, label, value, options, set }: ChoiceProps<T>): ReactNode {
  return (
    <Pick
      label={label}
      value={value}
      options={Object.entries(options) as [T, string][]}
      onPick={(picked) => changeHiker(hiker)(inSentence(label), (target) => set(target, picked))}
    />
  );
}
