const swc = [
  "@swc/jest",
  { jsc: { parser: { syntax: "typescript", tsx: true }, target: "es2022", transform: { react: { runtime: "automatic" } } }, module: { type: "es6" } },
];
const shared = {
  extensionsToTreatAsEsm: [".ts", ".tsx"],
  transform: { "\\.tsx?$": swc },
  moduleNameMapper: { "^~/(.*)$": "<rootDir>/app/$1", "^#core/(.*)$": "<rootDir>/core/$1" },
  testEnvironment: "node",
};

const config = {
  testTimeout: 150_000,
  testSequencer: "<rootDir>/tests/slowest-first.mjs",
  projects: [
    { ...shared, displayName: "unit", testMatch: ["<rootDir>/{core,app}/**/*.test.{ts,tsx}", "<rootDir>/tests/{reference,reliability}/**/*.test.ts"] },
    {
      ...shared,
      displayName: "browser",
      testMatch: ["<rootDir>/tests/e2e/**/*.test.ts"],
      globalSetup: "<rootDir>/tests/e2e/set-up.mjs",
      globalTeardown: "<rootDir>/tests/e2e/tear-down.mjs",
    },
  ],
};

export default config;
