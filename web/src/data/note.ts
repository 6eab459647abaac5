/**
 * The write ahead: before an edit is stored, its changes stand in a note that is written at once, and taken
 * away when storage has them. What a closing tab left behind is stored on the next opening. Notes go by
 * an id that the stored step keeps, so that none is stored twice.
 */
import type { PlanChange } from "@gepack/core";
import { freshId } from "../store/made.ts";

export interface Note {
  id: string;
  planId: string;
  label: string;
  changes: PlanChange[];
}

const PREFIX = "gepack.note.";
/** Notes stand in the order in which they were made. */
let made = 0;

function storage(): Storage | undefined {
  try {
    return globalThis.localStorage;
  } catch {
    return undefined;
  }
}

export function writeNote(note: Omit<Note, "id">): Note {
  const id = `${Date.now().toString(36).padStart(9, "0")}-${String(made++).padStart(6, "0")}-${freshId()}`;
  const whole = { ...note, id };
  try {
    storage()?.setItem(PREFIX + id, JSON.stringify(whole));
  } catch {
    // No room for a note: the edit is stored all the same, only not kept if the tab dies this very moment.
  }
  return whole;
}

export function clearNote(id: string): void {
  storage()?.removeItem(PREFIX + id);
}

/** Notes that are still there, oldest first. A note that does not read is dropped. */
export function pendingNotes(): Note[] {
  const kept = storage();
  if (!kept) return [];
  const keys = Array.from({ length: kept.length }, (_, i) => kept.key(i)!).filter((key) => key.startsWith(PREFIX));
  return keys.sort().flatMap((key) => {
    try {
      return [JSON.parse(kept.getItem(key)!) as Note];
    } catch {
      kept.removeItem(key);
      return [];
    }
  });
}
