/** Serves the production build: static files, then the endpoints. `PORT`, `HOST` and `HOSTS` are honoured. */
import { createServer } from "node:http";
import { readFileSync } from "node:fs";
import { createRequire } from "node:module";
import { join } from "node:path";
import { pathToFileURL } from "node:url";
import { ROOT } from "./lib.mjs";

const require = createRequire(join(ROOT, "web", "package.json"));
const { default: sirv } = await import(pathToFileURL(require.resolve("sirv")).href);
const { handler } = await import(pathToFileURL(join(ROOT, "web", "dist", "server", "entry.mjs")).href);
const planThread = join(ROOT, "web", "dist", "thread", "plan.js");
const publicFiles = join(ROOT, "web", "dist", "client");
const { csp } = JSON.parse(readFileSync(join(ROOT, "web", "dist", "csp.json"), "utf8"));

const given = process.env.PORT ?? "4321";
const port = Number(given);
if (!Number.isInteger(port) || port < 0 || port > 65535) {
  console.error(`PORT is "${given}"; a whole number from 0 to 65535 is expected.`);
  process.exit(1);
}
const host = process.env.HOST ?? "127.0.0.1";

const HEADERS = {
  "content-security-policy": csp,
  "x-content-type-options": "nosniff",
  "referrer-policy": "no-referrer",
  "cross-origin-opener-policy": "same-origin",
  "permissions-policy": "geolocation=(self), camera=(), microphone=()",
};
const files = sirv(publicFiles, {
  brotli: true,
  gzip: true,
  etag: true,
  setHeaders: (response, pathname) =>
    response.setHeader(
      "cache-control",
      pathname.startsWith("/_astro/") ? "public, max-age=31536000, immutable" : "no-cache",
    ),
});

/** Names under which this server may be asked: its own, and those of `HOSTS`, with commas between. */
const LOCAL = ["localhost", "127.0.0.1", "[::1]"];
const names = new Set(
  [...LOCAL, host, ...(process.env.HOSTS ?? "").split(",").filter(Boolean)].map((name) => name.toLowerCase()),
);
const anyName = (host === "0.0.0.0" || host === "::") && !process.env.HOSTS;

function refuse(response, status, title, detail, headers = {}) {
  response.writeHead(status, { ...headers, "content-type": "application/problem+json; charset=utf-8" });
  response.end(JSON.stringify({ type: "about:blank", title, status, detail }));
}

/** What is wrong with a request before anything is looked at; true when it was refused. */
function refused(request, response) {
  const name = (request.headers.host ?? "").replace(/:\d+$/, "").toLowerCase();
  if (!anyName && !names.has(name))
    return (
      refuse(response, 421, "Another host", "This server does not go by that name. HOSTS=name allows one."),
      true
    );
  let path;
  try {
    path = decodeURI(request.url ?? "/");
  } catch {
    return (refuse(response, 400, "Not an address", "The address cannot be read."), true);
  }
  const allowed = path.startsWith("/api/") ? ["GET", "HEAD", "POST", "PUT", "PATCH", "DELETE"] : ["GET", "HEAD"];
  if (!allowed.includes(request.method)) {
    const allow = path.startsWith("/api/") ? "GET, HEAD, POST" : "GET, HEAD";
    return (refuse(response, 405, "Another method", `This address answers ${allow} only.`, { allow }), true);
  }
  // The framework's own service of images: nothing here needs it.
  if (path.startsWith("/_image")) return (refuse(response, 404, "No such page", "Nothing is here."), true);
  return false;
}

/** Who sends slowly is not waited for without end. */
const HEAD_MS = 15_000;
const WHOLE_MS = 30_000;

const server = createServer(
  { headersTimeout: HEAD_MS, requestTimeout: WHOLE_MS, connectionsCheckingInterval: 2000 },
  (request, response) => {
    for (const [name, value] of Object.entries(HEADERS)) response.setHeader(name, value);
    if (refused(request, response)) return;
    const unanswered = (error) => {
      if (response.headersSent) return response.end();
      if (error) refuse(response, 500, "The server failed", "The request could not be answered.");
      else refuse(response, 404, "No such page", "Nothing is here.");
    };
    const left = new AbortController();
    response.on("close", () => left.abort());
    // Nothing here is long enough to be asked for in parts, and the server of files throws at some of what is no range.
    delete request.headers.range;
    files(request, response, () => {
      const locals = { planThread, publicFiles, left: left.signal };
      Promise.resolve(handler(request, response, unanswered, locals)).catch(unanswered);
    });
  },
);
server.on("error", (error) => {
  console.error(
    error.code === "EADDRINUSE"
      ? `Port ${port} is in use. Stop what runs there, or choose another: PORT=4400 npm start`
      : `The server could not start: ${error.message}`,
  );
  process.exit(1);
});
server.listen(port, host, () => {
  console.log(`Gepack is at http://${host}:${server.address().port}/ with the demo trail opened. Ctrl-C stops it.`);
});
for (const signal of ["SIGINT", "SIGTERM"])
  process.on(signal, () => {
    server.close(() => process.exit(0));
    server.closeAllConnections();
  });
