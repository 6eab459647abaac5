import { SEA_KM, simulatedNormals, type SeaWord } from "@gepack/core";
import type { APIRoute } from "astro";
import { answer, methodRefused, problem } from "../../server/respond.ts";

export const prerender = false;

/** Simulated normals of a place: `?latDeg=48&heightM=500&seaKm=40&west=0.5`; the sea in words as well. */
export const GET: APIRoute = ({ request, url }) => {
  const asked = url.searchParams;
  const sea = asked.get("sea") as SeaWord | null;
  if (sea !== null && !(sea in SEA_KM))
    return problem(400, "Not a place", `sea is “${sea.slice(0, 30)}”; use one of ${Object.keys(SEA_KM).join(", ")}.`);
  const bad: string[] = [];
  const number = (name: string, low: number, high: number, otherwise?: number): number => {
    const text = asked.get(name);
    const value = text === null ? otherwise : text.trim() === "" ? NaN : Number(text);
    if (value !== undefined && value >= low && value <= high) return value;
    bad.push(
      `${name} is ${text === null ? "missing" : `“${text.slice(0, 30)}”`}; expected a number from ${low} to ${high}`,
    );
    return NaN;
  };
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
