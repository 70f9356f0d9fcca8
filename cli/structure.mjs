// What a program can count of the structure: lengths of files and lines, and the tests' share of the formatted code.
import { execFileSync } from "node:child_process";
import { readFileSync } from "node:fs";
import { join } from "node:path";
import { say } from "./say.mjs";
import { root } from "./system.mjs";

const limits = { columns: 120, usual: 300, longest: 450, share: 0.95 };

const isCode = (name) => /\.(ts|tsx|mjs|cjs|sql|css)$/.test(name) && !name.endsWith(".d.ts");
// A migration that has run somewhere stays the file that it is: its length is not counted, its lines are.
const mayBeLong = (name) => name.includes("/migrations/");
const isTest = (name) => /\.test\.tsx?$|\.spec\.ts$|(^|\/)(e2e|testing)\//.test(name);

/** Every file of the checkout that people write, with its lines. */
function sources() {
  const names = execFileSync("git", ["ls-files", "--cached", "--others", "--exclude-standard"], { cwd: root });
  return [...new Set(names.toString().split("\n"))].filter(isCode).flatMap((name) => {
    try {
      return [{ name, lines: readFileSync(join(root, name), "utf8").trimEnd().split("\n") }];
    } catch {
      return []; // deleted, and not committed yet
    }
  });
}

/** The figures, and in words what is over its limit. */
export function measureStructure() {
  const files = sources();
  const count = (list) => list.reduce((n, f) => n + f.lines.length, 0);
  const long = files
    .filter((f) => f.lines.length > limits.usual && !mayBeLong(f.name))
    .sort((a, b) => b.lines.length - a.lines.length);
  const wide = files.flatMap((f) =>
    f.lines.flatMap((l, i) => ([...l].length > limits.columns ? [`${f.name}:${i + 1}`] : [])),
  );
  const tests = count(files.filter((f) => isTest(f.name)));
  const broken = [
    ...wide.map((at) => `${at} is wider than ${limits.columns} columns`),
    ...long
      .filter((f) => f.lines.length > limits.longest)
      .map((f) => `${f.name} has ${f.lines.length} lines, more than ${limits.longest}`),
    ...(long.length > files.length * (1 - limits.share)
      ? [`${long.length} of ${files.length} files are over ${limits.usual} lines, more than one in twenty`]
      : []),
  ];
  return { files: files.length, lines: count(files), tests, long, wide: wide.length, broken };
}

/** Prints the figures. */
export function structure() {
  const s = measureStructure();
  say(`files ${s.files}, lines ${s.lines}, tests ${s.tests} (${((100 * s.tests) / s.lines).toFixed(1)} %)`);
  say(`files over ${limits.usual} lines: ${s.long.length} (${((100 * s.long.length) / s.files).toFixed(1)} %)`);
  for (const f of s.long.slice(0, 10)) say(`  ${String(f.lines.length).padStart(5)}  ${f.name}`);
  say(`lines wider than ${limits.columns} columns: ${s.wide}`);
  return s.broken;
}
