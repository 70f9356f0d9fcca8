const { default: Sequencer } = require("@jest/test-sequencer");

/** Suites first, in the order of their names: they take longest, and what comes last waits for them. */
module.exports = class extends Sequencer {
  sort(tests) {
    const isSuite = (t) => t.path.endsWith(".suite.ts");
    const suites = tests.filter(isSuite).sort((a, b) => a.path.localeCompare(b.path));
    return [...suites, ...super.sort(tests.filter((t) => !isSuite(t)))];
  }
};
