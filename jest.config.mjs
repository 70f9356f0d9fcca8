const swc = {
  "^.+\\.tsx?$": [
    "@swc/jest",
    {
      jsc: {
        parser: { syntax: "typescript", tsx: true },
        target: "es2022",
        transform: { react: { runtime: "automatic" } },
      },
      // It takes a second to load, and most test files never compute a formula.
      module: { type: "commonjs", lazy: ["mathjs"] },
    },
  ],
};
/** Where tests lie; those that need the database say so in their name: *.db.test.ts. */
const folders = ["core", "platform", "stages", "frame", "ui", "workers", "cli", "demo"];
export const common = {
  testEnvironment: "node",
  globals: { testFolders: folders },
  transform: { ...swc, "^.+\\.m?js$": ["@swc/jest", { jsc: { target: "es2022" } }] },
  transformIgnorePatterns: [
    "/node_modules/(?!(@tanstack/(table-core|react-table|store|react-store)|uuid|ics|nanoid|stemmer|ical.js|diff)/)",
  ],
  moduleNameMapper: {
    "^@/(.*)$": "<rootDir>/$1",
    "^server-only$": "<rootDir>/node_modules/server-only/empty.js",
    // The one for development takes a stack for every element: a fifth of the time of the parts' tests.
    "^react/jsx-runtime$": "<rootDir>/node_modules/react/cjs/react-jsx-runtime.production.js",
  },
};
const files = (ending) => `<rootDir>/{${folders}}/**/*${ending}`;
const suites = (kind) => `<rootDir>/platform/testing/suites/${kind}-*.suite.ts`;
const unit = {
  ...common,
  setupFiles: ["<rootDir>/ui/testing/browser.ts"],
  setupFilesAfterEnv: ["<rootDir>/ui/testing/patience.ts"],
  testPathIgnorePatterns: ["\\.db\\.test\\.tsx?$", "/node_modules/"],
};
const db = { ...common, globalSetup: "<rootDir>/platform/testing/setup.ts" };
export default {
  // What is slow on a busy machine is not wrong.
  testTimeout: 120_000,
  testSequencer: "./platform/testing/sequence.cjs",
  // All tests of a kind, with those that can share a loading of the application in a few suites; or files by name.
  projects: [
    { ...unit, displayName: "unit", testMatch: [suites("unit"), files(".test.tsx")] },
    { ...unit, displayName: "unit-files", testMatch: [files(".test.ts?(x)")] },
    { ...db, displayName: "db", testMatch: [suites("db"), files(".db.test.tsx")] },
    { ...db, displayName: "db-files", testMatch: [files(".db.test.ts?(x)")] },
  ],
};
