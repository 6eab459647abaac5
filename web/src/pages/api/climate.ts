import { SEA_KM, simulatedNormals, type SeaWord } from "@gepack/core";
import type { APIRoute } from "astro";
import { queryOf } from "../../server/query.ts";
import { answer, methodRefused, problem } from "../../server/respond.ts";

export const prerender = false;

/** Simulated normals of a place: `?latDeg=48&heightM=500&seaKm=40&west=0.5`; the sea in words as well. */
export const GET: APIRoute = ({ request, url }) => {
  const query = url.searchParams;
  const sea = query.get("sea") as SeaWord | null;
  if (sea !== null && !(sea in SEA_KM))
    return problem(400, "Not a place", `sea is “${sea.slice(0, 30)}”; use one of ${Object.keys(SEA_KM).join(", ")}.`);
  const { number, bad } = queryOf(url);
  const place = {
    latDeg: number("latDeg", -90, 90),
    heightM: number("heightM", -430, 8900),
    seaKm: number("seaKm", 0, 3000, SEA_KM[sea ?? "inland"]),
    west: number("west", 0, 1, 0.5),
  };
  if (bad.length > 0) return problem(400, "Not a place", `${bad.join("; ")}.`);
  return answer(request, { ...place, ...simulatedNormals(place) });
};

export const ALL: APIRoute = () => methodRefused("GET, HEAD");
