import { dayNumber, isoOfDay, POST_PLACES, sendingDays, simulatedTransit, type PostPlace } from "@gepack/core";
import type { APIRoute } from "astro";
import { queryOf } from "../../server/query.ts";
import { answer, methodRefused, problem } from "../../server/respond.ts";

export const prerender = false;

const LOST_FRACTION = 0.01;

/** Simulated days of a parcel: `?to=village&distanceKm=300`; with `arrives=2027-06-18&holdDays=15` also when to send it. */
export const GET: APIRoute = ({ request, url }) => {
  const query = url.searchParams;
  const { number, bad } = queryOf(url);
  const to = query.get("to") ?? "village";
  if (!(POST_PLACES as readonly string[]).includes(to))
    bad.push(`to is “${to.slice(0, 30)}”; use one of ${POST_PLACES.join(", ")}`);
  const distanceKm = number("distanceKm", 0, 20_000, 0);
  const holdDays = number("holdDays", 1, 365, 15);
  const arrives = query.get("arrives");
  const arrivesDay = arrives === null ? undefined : dayNumber(arrives);
  if (arrives !== null && arrivesDay === undefined)
    bad.push(`arrives is “${arrives.slice(0, 30)}”; expected a day as YYYY-MM-DD`);
  if (bad.length > 0) return problem(400, "Not a parcel", `${bad.join("; ")}.`);
  const transit = simulatedTransit({ to: to as PostPlace, distanceKm });
  if (arrivesDay === undefined) return answer(request, transit);
  const { day, byDay, chance, fromDay } = sendingDays({
    ...transit,
    lostFraction: LOST_FRACTION,
    arrival: { plannedDay: arrivesDay, sdDays: 0 },
    holdDays,
  });
  const dates = { sendOn: isoOfDay(day), sendBy: isoOfDay(byDay), notBefore: isoOfDay(fromDay) };
  return answer(request, { ...transit, ...dates, chance });
};

export const ALL: APIRoute = () => methodRefused("GET, HEAD");
