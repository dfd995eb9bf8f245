import js from "@eslint/js";
import jsxA11y from "eslint-plugin-jsx-a11y";
import reactHooks from "eslint-plugin-react-hooks";
import tseslint from "typescript-eslint";

const CORE_IS_PURE = "The core is pure: time, randomness, storage and screens come in as arguments or stay in the app.";
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
      "no-restricted-syntax": [
        "error",
        {
          selector: "ExportDefaultDeclaration > :matches(ArrowFunctionExpression, ObjectExpression, FunctionDeclaration[id=null], ClassDeclaration[id=null])",
          message: "Name what you export.",
        },
      ],
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
