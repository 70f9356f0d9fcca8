import { readdirSync, statSync } from "node:fs";
import { basename, dirname, join } from "node:path";

/** Where tests lie, by jest.config.mjs. */
declare const testFolders: readonly string[];

const root = join(__dirname, "../..");

const kinds = {
  db: /\.db\.test\.ts$/,
  unit: /(?<!\.db)\.test\.ts$/,
} as const;

/**
 * Test files of a kind that share one loading of the application, the longest first. Those that replace a part of it or
 * want a browser end in .tsx, and are run by themselves.
 */
const filesOf = (kind: keyof typeof kinds): string[] =>
  testFolders
    .flatMap((folder) =>
      readdirSync(join(root, folder), { recursive: true, encoding: "utf8" }).map((f) => join(folder, f)),
    )
    .filter((f) => kinds[kind].test(f))
    // The faults wait for lost connections most of their time.
    .map((f) => ({ f, size: f.includes("faults") ? Number.MAX_SAFE_INTEGER : statSync(join(root, f)).size }))
    .sort((a, b) => b.size - a.size || a.f.localeCompare(b.f))
    .map((x) => x.f);

/**
 * Runs a suite's share of the test files of a kind, one after the other in one loading of the application, which takes
 * longer than most of the tests. What share it is says the suite's file: `db-1` is the second of as many as lie beside
 * it. A file alone is run by its name: see jest.config.mjs.
 */
export function together(): void {
  const suite = expect.getState().testPath!;
  const [kind] = basename(suite).split("-") as [keyof typeof kinds];
  const suites = readdirSync(dirname(suite))
    .filter((f) => f.startsWith(`${kind}-`))
    .sort();
  const mine = filesOf(kind).filter((_, i) => i % suites.length === suites.indexOf(basename(suite)));
  for (const file of mine) describe(file, () => void require(join(root, file)));
}
