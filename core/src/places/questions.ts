/** Places that may have food or not: those on which most days of food hang are asked about before a plan is made. */

export interface FoodQuestion {
  id: string;
  /** What the longest carry around it becomes shorter by, in days of walking. */
  days: number;
}

/** Less is not worth a question; more of them are not read [L]. */
const LEAST_DAYS = 0.7;
const MOST = 6;

/**
 * `sure` are the places with food, in metres along the trail, without its ends; `unsure` those that may have some. A day
 * walks `dayM` metres. The most pressing first.
 */
export function foodQuestions(
  sure: readonly number[],
  unsure: readonly { id: string; trackM: number }[],
  lengthM: number,
  dayM: number,
): FoodQuestion[] {
  const shops = [0, ...sure, lengthM].sort((a, b) => a - b);
  return unsure
    .map(({ id, trackM }) => {
      const beforeM = shops.findLast((shop) => shop <= trackM) ?? 0;
      const afterM = shops.find((shop) => shop >= trackM) ?? lengthM;
      return { id, days: Math.min(trackM - beforeM, afterM - trackM) / dayM };
    })
    .filter(({ days }) => days >= LEAST_DAYS)
    .sort((a, b) => b.days - a.days)
    .slice(0, MOST);
}
