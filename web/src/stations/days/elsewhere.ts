/** Where else a night could be: camps, stops and water before and behind it. */
import { isWalked, nodeOf, walkedOf, type CalendarDay, type Plan, type Profile, type WalkedM } from "@gepack/core";

export interface Elsewhere {
  name: string;
  what: "camp" | "stop" | "water";
  at: WalkedM;
}

const AROUND_M = 9000;
/** Nearer is where one sleeps already, and nearer to the morning is no day. */
const HERE_M = 300;
const LEAST_DAY_M = 500;
const MOST = 8;

/** The nearest of them, in walking order. */
export function elsewhere({ camps, stops, sources }: Plan, profile: Profile, day: CalendarDay): Elsewhere[] {
  const away = ({ at }: Elsewhere): number => Math.abs(at - day.toM);
  return (
    [
      ["camp", camps],
      ["stop", stops],
      ["water", sources],
    ] as const
  )
    .flatMap(([what, rows]) =>
      rows
        .filter((row) => isWalked(profile, row))
        .map((row): Elsewhere => ({ name: row.name, what, at: walkedOf(profile, nodeOf(profile, row)) })),
    )
    .filter((place) => place.at > day.fromM + LEAST_DAY_M && away(place) < AROUND_M && away(place) > HERE_M)
    .sort((a, b) => away(a) - away(b))
    .slice(0, MOST)
    .sort((a, b) => a.at - b.at);
}
