/** The walls of the house. Stages of the core, earliest first; each may import only earlier ones. */
const STAGES = [
  "units",
  "plan",
  "models",
  "track",
  "season",
  "food",
  "walk",
  "provision",
  "kit",
  "warmth",
  "load",
  "solve",
  "power",
  "result",
  "bag",
  "water",
  "stops",
  "checks",
  "explain",
  "compare",
  "file",
  "session",
  "search",
];

module.exports = {
  forbidden: [
    { name: "no-circular", severity: "error", from: {}, to: { circular: true } },
    { name: "core-knows-no-web", severity: "error", from: { path: "^core/" }, to: { path: "^(web|demo|scripts)/" } },
    {
      name: "core-knows-no-node",
      severity: "error",
      from: { path: "^core/src", pathNot: "\\.test\\.ts$" },
      to: { dependencyTypes: ["core"] },
    },
    {
      name: "web-by-the-door",
      severity: "error",
      from: { path: "^(web|demo)/" },
      to: { path: "^core/src/(?!index\\.ts$)" },
    },
    {
      name: "nobody-imports-a-test",
      severity: "error",
      from: {},
      to: { path: "\\.test\\.ts$|^web/e2e/" },
    },
    {
      name: "no-test-helpers-in-code",
      severity: "error",
      from: { path: "^(core|web)/src", pathNot: "\\.test\\.ts$" },
      to: { path: "^(core|web)/test/" },
    },
    {
      name: "data-layer",
      comment: "Dexie only in web/src/data",
      severity: "error",
      from: { path: "^web/src", pathNot: "^web/src/data/" },
      to: { path: "node_modules/dexie" },
    },
    ...STAGES.map((stage, i) => ({
      name: `stage-${stage}-looks-back`,
      severity: "error",
      from: { path: `^core/src/${stage}/`, pathNot: "\\.test\\.ts$" },
      to: { path: `^core/src/(${STAGES.slice(i + 1).join("|") || "none"})/` },
    })),
  ],
  options: {
    doNotFollow: { path: "node_modules" },
    tsPreCompilationDeps: true,
    enhancedResolveOptions: {
      extensions: [".ts", ".tsx", ".mjs", ".js"],
      exportsFields: ["exports"],
      conditionNames: ["import", "default", "types"],
    },
  },
};
