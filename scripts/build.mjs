/**
 * Builds the application, then: hashes every inline script of the pages into the content security
 * policy, writes the offline worker, and compresses what the server will send.
 */
import { createHash } from "node:crypto";
import { readdirSync, readFileSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { brotliCompressSync, constants, gzipSync } from "node:zlib";
import { build as viteBuild } from "vite";
import { generateSW } from "workbox-build";
import { must, ROOT } from "./lib.mjs";

const CLIENT = join(ROOT, "web", "dist", "client");

await must("node", ["scripts/publicDemo.mjs"]);
await must("npx", ["astro", "build", "--root", "web", "--silent"]);
// The thread of the server, which the pages' build does not know: one file with all it needs.
await viteBuild({
  root: join(ROOT, "web"),
  configFile: false,
  logLevel: "warn",
  ssr: { noExternal: true },
  define: { "process.env.NODE_ENV": JSON.stringify("production") },
  build: {
    ssr: "src/server/plan.worker.ts",
    outDir: "dist/thread",
    copyPublicDir: false,
    rollupOptions: { output: { entryFileNames: "plan.js" }, onwarn: () => {} },
  },
});

const files = readdirSync(CLIENT, { recursive: true, withFileTypes: true })
  .filter((entry) => entry.isFile())
  .map((entry) => join(entry.parentPath, entry.name));

const { warnings } = await generateSW({
  globDirectory: CLIENT,
  globPatterns: ["**/*.{html,js,css,woff2,svg,json,track,webmanifest}"],
  globIgnores: ["sw.js", "workbox-*.js"],
  swDest: join(CLIENT, "sw.js"),
  maximumFileSizeToCacheInBytes: 6_000_000,
  directoryIndex: "index.html",
  // A station's address is typed with and without the slash at its end.
  manifestTransforms: [
    (entries) => ({
      manifest: entries.flatMap((entry) => {
        const [, bare] = /^(.+)\/index\.html$/.exec(entry.url) ?? [];
        return bare === undefined ? [entry] : [entry, { ...entry, url: bare }];
      }),
      warnings: [],
    }),
  ],
  ignoreURLParametersMatching: [/.*/],
  clientsClaim: true,
  skipWaiting: true,
  cleanupOutdatedCaches: true,
  inlineWorkboxRuntime: true,
  sourcemap: false,
});
for (const warning of warnings) console.warn(warning);

const hashes = new Set();
for (const file of files.filter((name) => name.endsWith(".html"))) {
  for (const [, attributes, code] of readFileSync(file, "utf8").matchAll(/<script([^>]*)>([\s\S]*?)<\/script>/g))
    if (!/\bsrc=/.test(attributes) && code.trim() !== "")
      hashes.add(`'sha256-${createHash("sha256").update(code).digest("base64")}'`);
}
const csp = [
  "default-src 'none'",
  `script-src 'self' ${[...hashes].join(" ")}`,
  "style-src 'self' 'unsafe-inline'",
  "img-src 'self' data:",
  "font-src 'self'",
  "connect-src 'self'",
  "worker-src 'self'",
  "manifest-src 'self'",
  "base-uri 'none'",
  "form-action 'self'",
  "frame-ancestors 'none'",
].join("; ");

for (const file of [...files, join(CLIENT, "sw.js")].filter((name) =>
  /\.(html|js|css|svg|json|track|webmanifest)$/.test(name),
)) {
  const bytes = readFileSync(file);
  if (bytes.length < 1024) continue;
  writeFileSync(`${file}.gz`, gzipSync(bytes, { level: 9 }));
  writeFileSync(
    `${file}.br`,
    brotliCompressSync(bytes, { params: { [constants.BROTLI_PARAM_QUALITY]: bytes.length > 500_000 ? 6 : 11 } }),
  );
}
writeFileSync(join(ROOT, "web", "dist", "csp.json"), JSON.stringify({ csp }));
