/**
 * What an edit takes from outside the plan: new ids, and the day it is. A recipe is given both, so that nothing else
 * in it differs from one run to the next.
 */
export interface Made {
  newId: () => string;
  /** Where the hiker is, ISO. */
  today: string;
}

export const freshId = (): string => crypto.randomUUID();

export function todayHere(): string {
  const now = new Date();
  const two = (value: number): string => String(value).padStart(2, "0");
  return `${now.getFullYear()}-${two(now.getMonth() + 1)}-${two(now.getDate())}`;
}

export const made = (): Made => ({ newId: freshId, today: todayHere() });
