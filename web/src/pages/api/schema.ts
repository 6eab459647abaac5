import { planSchema, tracksSchema } from "@gepack/core";
import type { APIRoute } from "astro";
import { z } from "zod";
import { answer, methodRefused } from "../../server/respond.ts";

export const prerender = false;

/** JSON Schema of the plan file: the document with its tracks. */
export const GET: APIRoute = ({ request }) =>
  answer(
    request,
    z.toJSONSchema(planSchema.extend({ tracks: tracksSchema.optional() }), { io: "input", unrepresentable: "any" }),
  );

export const ALL: APIRoute = () => methodRefused("GET, HEAD");
