/** Edits of the rows of a plan's lists, each one undoable step: found by id, whatever else has changed meanwhile. */
import { LISTS, removeRow as removeFrom, type ListName, type Plan } from "@gepack/core";
import type { Draft } from "immer";
import { edit } from "../store/document.ts";
import type { Made } from "../store/made.ts";

type RowOf<List extends ListName> = ReturnType<(typeof LISTS)[List]>[number];

/** A draft of the plan is a plan to whoever changes it in place. */
const rowsOf = <List extends ListName>(draft: Draft<Plan>, list: List): RowOf<List>[] =>
  LISTS[list](draft as Plan) as RowOf<List>[];

/** Changes one row; nothing where it is gone. */
export function editRow<List extends ListName>(
  list: List,
  id: string,
  label: string,
  recipe: (row: RowOf<List>, made: Made) => void,
): Promise<boolean> {
  return edit(label, (draft, made) => {
    const row = rowsOf(draft, list).find((candidate) => candidate.id === id);
    if (row) recipe(row, made);
  });
}

/** Sets fields of one row; a field that becomes undefined goes. */
export function setRow<List extends ListName>(
  list: List,
  id: string,
  label: string,
  fields: Partial<RowOf<List>>,
): Promise<boolean> {
  return editRow(list, id, label, (row) => setFields(row, fields));
}

export function setFields<T extends object>(row: T, fields: Partial<T>): void {
  for (const key of Object.keys(fields) as (keyof T)[]) {
    const value = fields[key];
    if (value === undefined) delete row[key];
    else row[key] = value as T[keyof T];
  }
}

export function addRow<List extends ListName>(list: List, label: string, row: RowOf<List>): Promise<boolean> {
  return addRows(list, label, [row]);
}

/** Several rows at once, in one step; what is there already, by a second click, is not added again. */
export function addRows<List extends ListName>(
  list: List,
  label: string,
  rows: readonly RowOf<List>[],
): Promise<boolean> {
  return edit(label, (draft) => {
    const there = rowsOf(draft, list);
    const ids = new Set(there.map(({ id }) => id));
    there.push(...rows.filter(({ id }) => !ids.has(id)));
  });
}

/** Takes rows out and follows every reference to them; `heir` names who takes the place of one. */
export function removeRows(
  list: ListName,
  ids: readonly string[],
  label: string,
  heir?: (plan: Plan, id: string) => string | undefined,
): Promise<boolean> {
  return edit(label, (draft) => {
    for (const id of ids) removeFrom(draft as Plan, list, id, heir?.(draft as Plan, id));
  });
}

/** Moves a row to another place in its list. */
export function moveRow(list: ListName, id: string, to: number, label: string): Promise<boolean> {
  return edit(label, (draft) => {
    const rows = rowsOf(draft, list);
    const from = rows.findIndex((row) => row.id === id);
    if (from >= 0) rows.splice(Math.max(0, Math.min(rows.length - 1, to)), 0, ...rows.splice(from, 1));
  });
}

/** Changes a part of the plan that stands once, such as its rules. */
export function editPart<Part extends "kitRules" | "resupply" | "charge">(
  part: Part,
  label: string,
  recipe: (record: Plan[Part], made: Made) => void,
): Promise<boolean> {
  return edit(label, (draft, made) => recipe((draft as Plan)[part], made));
}
