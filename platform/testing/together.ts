import { readdirSync, statSync } from "node:fs";
import { join } from "node:path";

const root = join(__dirname, "../..");
const folders = ["core", "platform", "stages", "frame", "ui", "workers", "cli", "demo"];

const kinds = {
  db: /\.db\.test\.ts$/,
  unit: /(?<!\.db)\.test\.ts$/,
} as const;

/**
 * Test files of a kind that share one loading of the application, the longest first. Those that replace a part of it or
 * want a browser end in .tsx, and are run by themselves.
 */
const filesOf = (kind: keyof typeof kinds): string[] =>
  folders
    .flatMap((folder) =>
      readdirSync(join(root, folder), { recursive: true, encoding: "utf8" }).map((f) => join(folder, f)),
    )
    .filter((f) => kinds[kind].test(f))
    // The faults wait for lost connections most of their time.
    .map((f) => ({ f, size: f.includes("faults") ? Number.MAX_SAFE_INTEGER : statSync(join(root, f)).size }))
    .sort((a, b) => b.size - a.size || a.f.localeCompare(b.f))
    .map((x) => x.f);

/**
 * Every n-th test file of a kind, one after the other in one loading of the application, which takes longer than most
 * of the tests. A file alone is run by its name: see jest.config.mjs.
 * @param nth counted from 0
 */
export function together(kind: keyof typeof kinds, nth: number, of: number): void {
  const mine = filesOf(kind).filter((_, i) => i % of === nth);
  for (const file of mine) describe(file, () => void require(join(root, file)));
}
