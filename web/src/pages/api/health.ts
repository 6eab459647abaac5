import { PLAN_VERSION } from "@gepack/core";
import type { APIRoute } from "astro";
import { answer, methodRefused } from "../../server/respond.ts";

export const prerender = false;

export const GET: APIRoute = ({ request }) => answer(request, { status: "ok", planVersion: PLAN_VERSION });

export const ALL: APIRoute = () => methodRefused("GET, HEAD");
