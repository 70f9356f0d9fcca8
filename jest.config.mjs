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
const common = {
  testEnvironment: "node",
  transform: { ...swc, "^.+\\.m?js$": ["@swc/jest", { jsc: { target: "es2022" } }] },
  transformIgnorePatterns: ["/node_modules/(?!(uuid|ics|nanoid|stemmer|ical.js|diff)/)"],
  moduleNameMapper: { "^@/(.*)$": "<rootDir>/$1", "^server-only$": "<rootDir>/node_modules/server-only/empty.js" },
};
export default {
  projects: [
    { ...common, displayName: "unit", testMatch: ["<rootDir>/{core,ui,features,server,cli}/**/*.test.ts"] },
    {
      ...common,
      displayName: "db",
      testMatch: ["<rootDir>/{data,demo}/**/*.test.ts"],
      globalSetup: "<rootDir>/data/testing/setup.ts",
    },
  ],
};
