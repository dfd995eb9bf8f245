import js from "@eslint/js";
import jsxA11y from "eslint-plugin-jsx-a11y";
import reactHooks from "eslint-plugin-react-hooks";
import tseslint from "typescript-eslint";

const CORE_IS_PURE = "The core is pure: time, randomness, storage and screens come in as arguments or stay in the app.";
const OWN_CLOCK = "A test has its own clock: take the instant from tests/instant.ts, or as an argument, and let it go on by hand.";
const WAITS = "Wait for what is meant, never for time.";
const CLOCK_READS = [
  { selector: "CallExpression[callee.object.name='Date'][callee.property.name='now']", message: OWN_CLOCK },
  { selector: "NewExpression[callee.name='Date'][arguments.length=0]", message: OWN_CLOCK },
  { selector: "CallExpression[callee.object.name='performance'][callee.property.name='now']", message: OWN_CLOCK },
  { selector: "CallExpression[callee.property.name='useRealTimers']", message: OWN_CLOCK },
  { selector: "CallExpression[callee.property.name='waitForTimeout']", message: WAITS },
];
const NEW_CONTEXT = {
  selector: "CallExpression[callee.property.name='newContext']",
  message: "A browser's notebook is opened by newNotebook or freshContext: they set its clock.",
};
const NAMED_EXPORTS = {
  selector: "ExportDefaultDeclaration > :matches(ArrowFunctionExpression, ObjectExpression, FunctionDeclaration[id=null], ClassDeclaration[id=null])",
  message: "Name what you export.",
};
const impure = (...names) => names.map((name) => ({ name, message: CORE_IS_PURE }));

export default tseslint.config(
  { ignores: ["build/", ".react-router/", "node_modules/"] },
  js.configs.recommended,
  ...tseslint.configs.strict,
  {
    rules: {
      "@typescript-eslint/no-unused-vars": ["error", { argsIgnorePattern: "^_", varsIgnorePattern: "^_" }],
      "@typescript-eslint/consistent-type-imports": "error",
      "@typescript-eslint/no-non-null-assertion": "off",
      "no-restricted-syntax": ["error", NAMED_EXPORTS],
      eqeqeq: "error",
    },
  },
  {
    files: ["**/*.mjs", "**/*.cjs", "*.js", "*.config.ts", "app/routes.ts"],
    languageOptions: {
      globals: {
        process: "readonly",
        console: "readonly",
        URL: "readonly",
        setInterval: "readonly",
        setTimeout: "readonly",
        Buffer: "readonly",
        module: "writable",
        performance: "readonly",
        fetch: "readonly",
        AbortController: "readonly",
      },
    },
    rules: { "no-restricted-syntax": "off" },
  },
  { files: ["scripts/service-worker.mjs"], languageOptions: { globals: { self: "readonly", caches: "readonly", Response: "readonly" } } },
  { files: ["public/*.js"], languageOptions: { globals: { localStorage: "readonly", document: "readonly" } } },
  {
    files: ["core/**/*.ts"],
    ignores: ["**/*.test.ts", "core/cli.ts"],
    rules: {
      "no-restricted-globals": [
        "error",
        ...impure(
          "window",
          "document",
          "indexedDB",
          "localStorage",
          "navigator",
          "fetch",
          "process",
          "setTimeout",
          "setInterval",
          "crypto",
          "performance",
          "console",
        ),
      ],
      "no-restricted-properties": [
        "error",
        { object: "Date", property: "now", message: CORE_IS_PURE },
        { object: "Math", property: "random", message: CORE_IS_PURE },
      ],
      "no-restricted-imports": ["error", { patterns: [{ group: ["react*", "idb", "comlink", "node:*", "~/*"], message: CORE_IS_PURE }] }],
    },
  },
  {
    files: ["core/coating/**/*.ts", "core/drying/**/*.ts", "core/film/**/*.ts", "core/piece/**/*.ts", "core/units/**/*.ts", "core/catalogue/**/*.ts"],
    ignores: ["**/*.test.ts"],
    rules: { "no-restricted-imports": ["error", { patterns: [{ group: ["joi", "react*", "idb", "comlink", "node:*", "~/*"], message: CORE_IS_PURE }] }] },
  },
  {
    // Workers are not told the time of the page: what runs in them takes it as an argument, as the core does.
    files: ["core/**/*.ts", "app/workers/**/*.ts"],
    ignores: ["**/*.test.ts", "core/cli.ts"],
    rules: { "no-restricted-syntax": ["error", NAMED_EXPORTS, ...CLOCK_READS.slice(0, 2).map(({ selector }) => ({ selector, message: CORE_IS_PURE }))] },
  },
  { files: ["tests/**/*.{ts,tsx}", "**/*.test.{ts,tsx}"], rules: { "no-restricted-syntax": ["error", NAMED_EXPORTS, ...CLOCK_READS, NEW_CONTEXT] } },
  { files: ["tests/e2e/bench.ts", "tests/reliability/hands.ts"], rules: { "no-restricted-syntax": ["error", NAMED_EXPORTS, ...CLOCK_READS] } },
  {
    files: ["app/**/*.{ts,tsx}"],
    plugins: { "jsx-a11y": jsxA11y, "react-hooks": reactHooks },
    rules: {
      ...jsxA11y.flatConfigs.recommended.rules,
      ...reactHooks.configs.recommended.rules,
      "jsx-a11y/label-has-associated-control": ["error", { assert: "either", depth: 3 }],
      "jsx-a11y/no-noninteractive-tabindex": "off",
    },
  },
);
