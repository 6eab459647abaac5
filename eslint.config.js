import js from "@eslint/js";
import astro from "eslint-plugin-astro";
import hooks from "eslint-plugin-react-hooks";
import tseslint from "typescript-eslint";

/** They answer whether the edit was stored. */
const EDITS = [
  "edit",
  "editWithTrack",
  "editRow",
  "editPart",
  "setRow",
  "addRow",
  "addRows",
  "removeRows",
  "moveRow",
  "changeBox",
  "keepCards",
];

export default tseslint.config(
  { ignores: ["**/dist/**", "**/.astro/**", "**/node_modules/**", "web/public/**", "test-results/**", ".mutants/**"] },
  js.configs.recommended,
  ...tseslint.configs.recommended,
  ...astro.configs.recommended,
  {
    files: ["core/src/**/*.ts", "web/src/**/*.{ts,tsx}"],
    ignores: ["**/*.test.ts"],
    languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
    rules: {
      "@typescript-eslint/no-floating-promises": [
        "error",
        // What becomes of an edit is told by the store; it never rejects.
        { allowForKnownSafeCalls: [{ from: "file", name: EDITS }] },
      ],
      "@typescript-eslint/switch-exhaustiveness-check": ["error", { considerDefaultExhaustiveForUnions: true }],
    },
  },
  {
    rules: {
      "no-self-compare": "off",
      "@typescript-eslint/no-non-null-assertion": "off",
      eqeqeq: "error",
      "no-console": "off",
    },
  },
  {
    // Numbers are shown, kept and drawn by one formatter.
    files: ["web/src/**/*.{ts,tsx}"],
    ignores: ["web/src/units/**", "web/src/store/made.ts", "**/*.test.ts"],
    rules: {
      "no-restricted-syntax": [
        "error",
        {
          selector: "CallExpression[callee.property.name=/^(toFixed|toLocaleString)$/]",
          message: "Use fixed, rounded or toPx of units/quantity.ts.",
        },
        {
          selector: "MemberExpression[object.name='crypto'][property.name='randomUUID']",
          message: "An id is made by freshId of store/made.ts, and within a recipe by what the recipe is given.",
        },
        {
          selector:
            "CallExpression[callee.name=/^(edit|tryOut|set|change|add|remove|move)/] > :function CallExpression[callee.name=/^(freshId|todayHere)$/], Property[key.name='recipe'] > :function CallExpression[callee.name=/^(freshId|todayHere)$/]",
          message: "A recipe makes no id and reads no clock: both are its second argument.",
        },
      ],
    },
  },
  { files: ["web/src/**/*.tsx"], ...hooks.configs.flat["recommended-latest"] },
  {
    files: ["core/src/**/*.ts"],
    ignores: ["**/*.test.ts"],
    rules: {
      "no-restricted-globals": ["error", "Date.now", "performance", "window", "document", "fetch", "crypto"],
      "no-restricted-properties": [
        "error",
        { object: "Math", property: "random" },
        { object: "Date", property: "now" },
      ],
      "no-console": "error",
    },
  },
  {
    files: ["scripts/**/*.mjs", "*.js", "web/*.mjs"],
    languageOptions: {
      globals: {
        AbortController: "readonly",
        process: "readonly",
        console: "readonly",
        URL: "readonly",
        setTimeout: "readonly",
        fetch: "readonly",
        performance: "readonly",
      },
    },
  },
  { files: ["**/*.cjs"], languageOptions: { sourceType: "commonjs", globals: { module: "readonly" } } },
);
