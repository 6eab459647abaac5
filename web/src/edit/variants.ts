/** Variants of the opened trip: kept beside it on this device, each a plan with undo steps of its own. */
import { changesBetween, planOfHike, restFrom, takePart, type Hike, type Plan, type VariantPart } from "@gepack/core";
import { change, nameOf, removeVariant, storeVariant, tripIdOf, type Variant, type WithSteps } from "../data/plans.ts";
import { edit } from "../store/document.ts";
import { latestPlan } from "../store/liveDocument.ts";
import { useDocument } from "../store/documentState.ts";
import { report, tell } from "../store/notices.ts";
import { selectPlan } from "../store/selection.ts";
import { freshId } from "../store/made.ts";

/** Keeps a plan as a variant of its trip; the opened plan stays open. Answers its id. */
export async function keepVariant(plan: Plan, name: string): Promise<string | undefined> {
  if (!useDocument.getState().kept) {
    tell("failed", "Saving isn’t possible on this device, so variants can’t be kept.", "Export the plan instead.");
    return undefined;
  }
  const id = freshId();
  const doc: Plan = { ...plan, id, trip: { ...plan.trip, variantOf: tripIdOf(plan), variantName: name } };
  try {
    await storeVariant({ doc });
    return id;
  } catch (error) {
    report(error);
    return undefined;
  }
}

/** A simulated hike as a plan, kept and opened. */
export async function keepVariantOf(plan: Plan, name: string, hike: Hike, who: number): Promise<void> {
  const { result } = useDocument.getState();
  if (!result) return;
  const id = await keepVariant(planOfHike(plan, result, hike, who), name);
  if (id === undefined) return;
  selectPlan(id);
  tell("note", `Opened ${name} as a variant.`, "Your plan hasn’t changed: find it under Variants or in the Plan menu.");
}

/** What is left from the start of a leg on, kept and opened: for who is joined there, or plans the rest again. */
export async function keepRest(plan: Plan, legIndex: number, from: string): Promise<void> {
  const { result } = useDocument.getState();
  if (!result) return;
  const name = `From ${from} on`;
  const id = await keepVariant(restFrom(plan, result, legIndex, name), name);
  if (id === undefined) return;
  selectPlan(id);
  tell(
    "note",
    `Opened ${name} as a variant.`,
    "Add whoever joins in Setup. The whole hike hasn’t changed: find it in Legs, Variants, or in the Plan menu.",
  );
}

/** What is now, newest edits in it, under a name. */
export async function keepNow(name: string): Promise<boolean> {
  const plan = latestPlan();
  return plan !== undefined && (await keepVariant(plan, name)) !== undefined;
}

export async function renameVariant({ id, doc }: Variant, name: string): Promise<void> {
  const label = `Rename to ${name}`;
  if (id === latestPlan()?.id) return void (await edit(label, ({ trip }) => void (trip.variantName = name)));
  try {
    await change(id, label, changesBetween(doc, { ...doc, trip: { ...doc.trip, variantName: name } }));
  } catch (error) {
    report(error);
  }
}

/** Gone, until it is put back. */
export async function dropVariant(id: string): Promise<WithSteps | undefined> {
  try {
    return await removeVariant(id);
  } catch (error) {
    report(error);
    return undefined;
  }
}

export async function putBack(gone: WithSteps): Promise<void> {
  await storeVariant(gone).catch(report);
}

/** A part of another variant in the opened one, as one step. */
export function takeFrom(other: Plan, part: VariantPart, words: string): void {
  void edit(`${words} from ${variantName(other)}`, (draft) => takePart(draft as Plan, other, part));
}

/** What a variant is called beside the others of its trip. */
export function variantName(plan: Plan): string {
  return plan.trip.variantName || (plan.trip.variantOf ? nameOf(plan) : "Original plan");
}
