const swc = {
  "^.+\\.tsx?$": [
    "@swc/jest",
    {
      jsc: {
        parser: { syntax: "typescript", tsx: true },
        target: "es2022",
        transform: { react: { runtime: "automatic" } },
      },
    },
  ],
};
export const common = {
  testEnvironment: "node",
  transform: { ...swc, "^.+\\.m?js$": ["@swc/jest", { jsc: { target: "es2022" } }] },
  transformIgnorePatterns: [
    "/node_modules/(?!(@tanstack/(table-core|react-table|store|react-store)|uuid|ics|nanoid|stemmer|ical.js|diff)/)",
  ],
  moduleNameMapper: { "^@/(.*)$": "<rootDir>/$1", "^server-only$": "<rootDir>/node_modules/server-only/empty.js" },
};
/** Tests that need the database say so in their name: *.db.test.ts. */
const folders = "{core,platform,stages,frame,ui,workers,cli,demo}";
export default {
  // What is slow on a busy machine is not wrong.
  testTimeout: 120_000,
  projects: [
    {
      ...common,
      displayName: "unit",
      setupFiles: ["<rootDir>/ui/testing/browser.ts"],
      setupFilesAfterEnv: ["<rootDir>/ui/testing/patience.ts"],
      testMatch: [`<rootDir>/${folders}/**/*.test.ts?(x)`],
      testPathIgnorePatterns: ["\\.db\\.test\\.tsx?$", "/node_modules/"],
    },
    {
      ...common,
      displayName: "db",
      testMatch: [`<rootDir>/${folders}/**/*.db.test.ts?(x)`],
      globalSetup: "<rootDir>/platform/testing/setup.ts",
    },
  ],
};
