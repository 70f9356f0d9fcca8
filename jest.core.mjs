// The core's tests alone, for the mutation runs: without the team solver's proofs, which take a minute a mutant.
import { common } from "./jest.config.mjs";

export default {
  ...common,
  roots: ["<rootDir>/core"],
  watchman: false,
  setupFiles: ["<rootDir>/core/testing/fewer-examples.ts"],
  testEnvironment: "@stryker-mutator/jest-runner/jest-env/node",
  testMatch: ["<rootDir>/core/**/*.test.ts"],
  testPathIgnorePatterns: ["/node_modules/", "core/teams/(solver|optimum).test.ts", "core/examples.test.ts"],
};
