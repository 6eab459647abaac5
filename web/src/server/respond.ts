/** Answers of the endpoints: JSON, or problems as application/problem+json (RFC 9457). */
import type { Problem } from "@gepack/core";

export function answer(body: unknown, status = 200): Response {
  return new Response(JSON.stringify(body), {
    status,
    headers: { "content-type": "application/json; charset=utf-8", "cache-control": "no-store" },
  });
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

/** The body as text, or undefined as soon as it proves larger than allowed. */
export async function limitedText(request: Request, maxBytes: number): Promise<string | undefined> {
  if (Number(request.headers.get("content-length") ?? 0) > maxBytes) return undefined;
  if (!request.body) return "";
  const reader = request.body.getReader();
  const chunks: Uint8Array[] = [];
  let size = 0;
  for (;;) {
    const { done, value } = await reader.read();
    if (done) break;
    size += value.length;
    if (size > maxBytes) {
      await reader.cancel();
      return undefined;
    }
    chunks.push(value);
  }
  return new TextDecoder().decode(Buffer.concat(chunks));
}

/** A page of another site may not post here; scripts send no Origin. */
export function foreignOrigin(request: Request): boolean {
  const origin = request.headers.get("origin");
  return (
    origin !== null && origin !== new URL(request.url).origin && new URL(origin).host !== request.headers.get("host")
  );
}
