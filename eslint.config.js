import js from "@eslint/js";
import astro from "eslint-plugin-astro";
import hooks from "eslint-plugin-react-hooks";
import tseslint from "typescript-eslint";

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
      "@typescript-eslint/no-floating-promises": "error",
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
    ignores: ["web/src/units/**", "**/*.test.ts"],
    rules: {
      "no-restricted-syntax": [
        "error",
        {
          selector: "CallExpression[callee.property.name=/^(toFixed|toLocaleString)$/]",
          message: "Use fixed, rounded or toPx of units/quantity.ts.",
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
