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

/** The clock of the unit tests stands, as that of the pages does: what they and all that they call are told of the time is this, and goes on only by hand. */
const standingClock = {
  enableGlobally: true,
  now: Date.parse(process.env.NOOK_COAT_AT ?? "2027-01-11T12:00:00Z"),
  doNotFake: [
    "Intl",
    "hrtime",
    "nextTick",
    "performance",
    "queueMicrotask",
    "setImmediate",
    "clearImmediate",
    "setInterval",
    "clearInterval",
    "setTimeout",
    "clearTimeout",
  ],
};

const config = {
  // A test may hold several waits, each with the patience of tests/instant.ts.
  testTimeout: 300_000,
  testSequencer: "<rootDir>/tests/slowest-first.mjs",
  projects: [
    {
      ...shared,
      displayName: "unit",
      fakeTimers: standingClock,
      testMatch: ["<rootDir>/{core,app}/**/*.test.{ts,tsx}", "<rootDir>/tests/{reference,reliability}/**/*.test.ts"],
    },
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
