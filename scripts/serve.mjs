/** Serves the production build: static files, then the endpoints. `PORT` and `HOST` are honoured. */
import { createServer } from "node:http";
import { readFileSync } from "node:fs";
import { createRequire } from "node:module";
import { join } from "node:path";
import { pathToFileURL } from "node:url";
import { ROOT } from "./lib.mjs";

const require = createRequire(join(ROOT, "web", "package.json"));
const { default: sirv } = await import(pathToFileURL(require.resolve("sirv")).href);
const { handler } = await import(pathToFileURL(join(ROOT, "web", "dist", "server", "entry.mjs")).href);
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
  "permissions-policy": "geolocation=(), camera=(), microphone=()",
};
const files = sirv(join(ROOT, "web", "dist", "client"), {
  brotli: true,
  gzip: true,
  setHeaders: (response, pathname) =>
    response.setHeader(
      "cache-control",
      pathname.startsWith("/_astro/") ? "public, max-age=31536000, immutable" : "no-cache",
    ),
});

const server = createServer((request, response) => {
  for (const [name, value] of Object.entries(HEADERS)) response.setHeader(name, value);
  files(request, response, () =>
    handler(request, response, (error) => {
      if (response.headersSent) return response.end();
      response.statusCode = error ? 500 : 404;
      response.setHeader("content-type", "application/problem+json");
      response.end(
        JSON.stringify({
          type: "about:blank",
          title: error ? "The server failed" : "No such page",
          status: response.statusCode,
        }),
      );
    }),
  );
});
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
