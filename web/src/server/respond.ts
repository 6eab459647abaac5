/** Answers of the endpoints: JSON, or problems as application/problem+json (RFC 9457). */
import { createHash } from "node:crypto";
import { promisify } from "node:util";
import { gunzip, gzip } from "node:zlib";
import type { Problem } from "@gepack/core";

const packed = promisify(gzip);

/** Shorter answers are not worth packing. */
const WORTH_PACKING = 1000;

/** Anything as JSON; see `answerJson`. */
export function answer(request: Request, body: unknown): Promise<Response> {
  return answerJson(request, JSON.stringify(body));
}

/** JSON with a tag: packed for who unpacks it, and left out for whoever has it already. */
export async function answerJson(request: Request, json: string): Promise<Response> {
  const bytes = Buffer.from(json);
  const etag = `"${createHash("sha256").update(bytes).digest("base64url").slice(0, 22)}"`;
  const mayKeep = request.method === "GET";
  const headers = {
    "content-type": "application/json; charset=utf-8",
    vary: "accept-encoding",
    ...(mayKeep ? { "cache-control": "no-cache", etag } : { "cache-control": "no-store" }),
  };
  const header = (name: string): string => request.headers.get(name) ?? "";
  if (mayKeep && header("if-none-match") === etag) return new Response(null, { status: 304, headers });
  if (bytes.length < WORTH_PACKING || !/\bgzip\b/.test(header("accept-encoding")))
    return new Response(bytes, { headers });
  // Beside the thread that answers the others.
  return new Response(await packed(bytes), { headers: { ...headers, "content-encoding": "gzip" } });
}

/** The endpoint knows other methods only; they are named as HTTP needs it. */
export function methodRefused(allowed: string): Response {
  const response = problem(405, "Method not allowed", `This address answers ${allowed} only.`);
  response.headers.set("allow", allowed);
  return response;
}

export function problem(status: number, title: string, detail: string, problems: readonly Problem[] = []): Response {
  const body = {
    type: "about:blank",
    title,
    status,
    detail,
    problems: problems.map(({ place, sentence }) => ({ path: place, detail: sentence })),
  };
  return new Response(JSON.stringify(body), {
    status,
    headers: { "content-type": "application/problem+json; charset=utf-8", "cache-control": "no-store" },
  });
}

/** So long a body may take beside what its bytes take at the least speed. */
const GRACE_MS = 5000;
const LEAST_BYTES_PER_MS = 20;

/** The body is packed in a way that is not read here. */
export class UnknownPacking extends Error {}

const unpack = promisify(gunzip);

/** Packed by gzip, told or not, it is unpacked within the bound. */
async function unpackedText(bytes: Buffer, encoding: string, maxBytes: number): Promise<string | undefined> {
  if (!["", "identity", "gzip", "x-gzip"].includes(encoding))
    throw new UnknownPacking(`The body is packed by ${encoding}; send it as JSON, plain or packed by gzip.`);
  const isPacked = bytes[0] === 0x1f && bytes[1] === 0x8b;
  if (!isPacked) return new TextDecoder().decode(bytes);
  try {
    return new TextDecoder().decode(await unpack(bytes, { maxOutputLength: maxBytes }));
  } catch (error) {
    if ((error as { code?: string }).code === "ERR_BUFFER_TOO_LARGE") return undefined;
    throw new UnknownPacking("The body looks packed by gzip, but cannot be unpacked.");
  }
}

/** The body came more slowly than a server waits for. */
export class TooSlow extends Error {}

async function inTime<T>(work: Promise<T>, untilMs: number): Promise<T> {
  let timer: ReturnType<typeof setTimeout> | undefined;
  const late = new Promise<never>((_, reject) => {
    const why = new TooSlow(
      `The body came more slowly than ${LEAST_BYTES_PER_MS} kB/s. Send it again on a better line.`,
    );
    timer = setTimeout(() => reject(why), Math.max(0, untilMs - performance.now()));
  });
  return Promise.race([work, late]).finally(() => clearTimeout(timer));
}

/** The body as text, or undefined as soon as it proves larger than allowed. */
export async function limitedText(request: Request, maxBytes: number): Promise<string | undefined> {
  if (Number(request.headers.get("content-length") ?? 0) > maxBytes) return undefined;
  if (!request.body) return "";
  const reader = request.body.getReader();
  const chunks: Uint8Array[] = [];
  const began = performance.now();
  let size = 0;
  for (;;) {
    const { done, value } = await inTime(reader.read(), began + GRACE_MS + size / LEAST_BYTES_PER_MS);
    if (done) break;
    size += value.length;
    if (size > maxBytes) {
      await reader.cancel();
      return undefined;
    }
    chunks.push(value);
  }
  return unpackedText(Buffer.concat(chunks), (request.headers.get("content-encoding") ?? "").toLowerCase(), maxBytes);
}

/** A page of another site may not post here, nor one that hides where it is from; scripts send no Origin. */
export function foreignOrigin(request: Request): boolean {
  const origin = request.headers.get("origin");
  if (origin === null || origin === new URL(request.url).origin) return false;
  return !URL.canParse(origin) || new URL(origin).host !== request.headers.get("host");
}
