import { defineConfig } from "@playwright/test";

/** Journeys that begin with an empty school. */
const fromNothing = /(journey|us-school)\.spec\.ts/;

/** Journeys of the demo that go in a copy of it, beside the others. */
const second = new RegExp(
  "(class|front|judging|logins|matches|offline|pieces|programme|records|shop|templates|whole-day|withdrawn)" +
    "[^/]*\\.spec\\.ts",
);

/** Pages that are looked at and not written to, and journeys of reviews, whose records no other journey knows. */
const looks = /\/(views|whole|reviews|slots)\.spec\.ts/;

export default defineConfig({
  testDir: "e2e",
  // Four of them side by side on two cores: slow is not wrong.
  timeout: 600_000,
  projects: [
    { name: "demo", testIgnore: [fromNothing, looks, second], outputDir: "test-results/demo" },
    { name: "demo-copy", testMatch: second, outputDir: "test-results/demo-copy" },
    { name: "views", testMatch: looks, outputDir: "test-results/views" },
    { name: "empty", testMatch: fromNothing, outputDir: "test-results/empty" },
  ],
  expect: { timeout: 60_000 },
  workers: 1,
  retries: 0,
  reporter: [["list"], ["json"]],
  use: {
    viewport: { width: 1280, height: 800 },
    trace: "off",
    actionTimeout: 60_000,
    navigationTimeout: 120_000,
    launchOptions: {
      executablePath: process.env.CHROMIUM ?? "/usr/bin/chromium",
      args: [
        "--no-sandbox",
        "--disable-gpu",
        "--disable-quic",
        "--no-first-run",
        "--disable-background-networking",
        "--disable-component-update",
        "--disable-sync",
        // A page of the browser's own that stands ready behind every window's address bar: half of what a window costs.
        "--disable-features=WebUIOmniboxPopup,WebUIOmniboxAimPopup",
      ],
    },
  },
});
