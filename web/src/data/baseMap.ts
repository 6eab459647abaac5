/** The base map that the hiker opened: a file of their own, kept on this device beside the plans. */
import { db } from "./db.ts";
import { guarded } from "./plans.ts";

const ONLY = "base";

export async function keepBaseMap(file: File): Promise<void> {
  await guarded(() => db.baseMaps.put({ id: ONLY, name: file.name, file }));
}

export async function keptBaseMap(): Promise<File | undefined> {
  const row = await db.baseMaps.get(ONLY);
  return row && new File([row.file], row.name);
}

export async function forgetBaseMap(): Promise<void> {
  await db.baseMaps.delete(ONLY);
}
