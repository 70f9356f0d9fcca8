// Mutation of the rules that decide: a changed comparison, bound or sign must make a test fail.
export default {
  testRunner: "jest",
  jest: { projectType: "custom", configFile: "jest.core.mjs" },
  coverageAnalysis: "perTest",
  ignoreStatic: true,
  concurrency: 2,
  // Sentences for people are not mutated: no rule may hang on one, and a test of their wording would only repeat it.
  mutator: { excludedMutations: ["StringLiteral"] },
  timeoutMS: 20_000,
  reporters: ["clear-text", "progress-append-only"],
  clearTextReporter: { allowColor: false, logTests: false, reportTests: false },
  tempDirName: ".stryker-tmp",
  thresholds: { high: 90, low: 80, break: null },
  mutate: [
    "core/points/*.ts",
    "core/ranking/*.ts",
    "core/contest/*.ts",
    "core/evidence/*.ts",
    "core/needs/requirement.ts",
    "core/grades/*.ts",
    "core/gates/*.ts",
    "core/sessions/*.ts",
    "core/slots/*.ts",
    "core/run/assess.ts",
    "!core/**/*.test.ts",
  ],
};
