// What a program can count of the structure: lengths of files and lines, and the tests' share of the formatted code.
import { execFileSync } from "node:child_process";
import { readFileSync } from "node:fs";
import { join } from "node:path";
import { say } from "./say.mjs";
import { root } from "./system.mjs";

const limits = { columns: 120, usual: 300, longest: 450, share: 0.95, newStage: 4 };

const isCode = (name) => /\.(ts|tsx|mjs|cjs|sql|css)$/.test(name) && !name.endsWith(".d.ts");
// A migration that has run somewhere stays the file that it is, and rows.ts is made: only their lines are counted.
const mayBeLong = (name) => name.includes("/migrations/") || name === "platform/db/rows.ts";
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

/** The closed lists of core/vocabulary by name: the keys of each `vocabulary({ … })`. */
function closedLists(ts, files) {
  const lists = new Map();
  for (const f of files.filter((x) => /^core\/vocabulary\/\w+\.ts$/.test(x.name))) {
    const visit = (n) => {
      const given = ts.isCallExpression(n) && n.expression.getText() === "vocabulary" ? n.arguments[0] : null;
      if (given && ts.isObjectLiteralExpression(given) && ts.isVariableDeclaration(n.parent)) {
        const keys = given.properties.map((p) => p.name.text ?? p.name.getText());
        lists.set(keys.sort().join("|"), n.parent.name.getText());
      }
      ts.forEachChild(n, visit);
    };
    visit(parse(ts, f));
  }
  return lists;
}

const parse = (ts, f) => ts.createSourceFile(f.name, f.lines.join("\n"), ts.ScriptTarget.Latest, true);

/** Places outside core/vocabulary where all values of a closed list are written again. */
async function writtenTwice(files) {
  const { default: ts } = await import("typescript");
  const lists = closedLists(ts, files);
  const found = [];
  for (const f of files) {
    if (!/\.tsx?$/.test(f.name) || isTest(f.name) || /^(core\/vocabulary|demo|tasks)\//.test(f.name)) continue;
    const source = parse(ts, f);
    const text = (n) => (n && ts.isStringLiteral(n) ? n.text : null);
    const valuesOf = (n) => {
      if (ts.isUnionTypeNode(n)) return n.types.map((t) => (ts.isLiteralTypeNode(t) ? text(t.literal) : null));
      if (!ts.isArrayLiteralExpression(n)) return [];
      return n.elements.map((e) => {
        if (ts.isObjectLiteralExpression(e))
          return text(e.properties.find((p) => p.name?.getText() === "value")?.initializer);
        return ts.isArrayLiteralExpression(e) ? text(e.elements[0]) : text(e);
      });
    };
    const visit = (n) => {
      const values = valuesOf(n).filter(Boolean);
      const list = values.length > 1 && lists.get([...new Set(values)].sort().join("|"));
      if (list)
        found.push(`${f.name}:${source.getLineAndCharacterOfPosition(n.getStart()).line + 1} writes ${list} again`);
      ts.forEachChild(n, visit);
    };
    visit(source);
  }
  return found;
}

/**
 * Forms that would be made anew, with what is typed in them, when somebody else saves what they change. Sheets keep
 * what is typed by themselves.
 */
const forgetful = (files) =>
  files
    .filter((f) => f.name.endsWith(".tsx") && !isTest(f.name))
    .flatMap((f) =>
      [...f.lines.join("\n").matchAll(/<(\w+)[^<>]*?\bkey=\{[^}]*\bversion\b/g)].flatMap(([found, name]) =>
        /(Form|View)$/.test(name) && name !== "SheetForm" ? [`${f.name}: ${found.replace(/\s+/g, " ")}`] : [],
      ),
    );

/** A file that names so many of the stages lists them: the shortest list is that of the spine, ten of seventeen. */
const most = 0.55;

/** Files outside the stages' folders that list the stages: those that a new stage touches. */
function nameAllStages(files) {
  const keys = files.flatMap((f) => /^stages\/(\w+)\/stage\.ts$/.exec(f.name)?.[1] ?? []);
  const names = (text, key) => new RegExp(`["'/]${key}["'/]`).test(text);
  return files
    .filter((f) => !/^(demo|stages\/\w+)\//.test(f.name) && !isTest(f.name))
    .map((f) => ({ name: f.name, text: f.lines.join("\n") }))
    .filter((f) => keys.filter((key) => names(f.text, key)).length >= most * keys.length)
    .map((f) => f.name);
}

/** Packages of the lock file of which nobody could tell that they were exchanged on their way here. */
function withoutHash() {
  const { packages } = JSON.parse(readFileSync(join(root, "package-lock.json"), "utf8"));
  return Object.entries(packages).flatMap(([path, p]) => (path && !p.link && !p.integrity ? [path] : []));
}

/** The figures, and in words what is over its limit. */
export async function measureStructure() {
  const files = sources();
  const count = (list) => list.reduce((n, f) => n + f.lines.length, 0);
  const long = files
    .filter((f) => f.lines.length > limits.usual && !mayBeLong(f.name))
    .sort((a, b) => b.lines.length - a.lines.length);
  const wide = files.flatMap((f) =>
    f.lines.flatMap((l, i) => ([...l].length > limits.columns ? [`${f.name}:${i + 1}`] : [])),
  );
  const tests = count(files.filter((f) => isTest(f.name)));
  const twice = await writtenTwice(files);
  const bare = withoutHash();
  const everyStage = nameAllStages(files);
  const broken = [
    ...twice,
    ...forgetful(files).map((at) => `${at} is keyed by a version: what is typed goes when somebody else saves`),
    ...bare.map((path) => `package-lock.json: ${path} has no integrity hash`),
    ...wide.map((at) => `${at} is wider than ${limits.columns} columns`),
    ...long
      .filter((f) => f.lines.length > limits.longest)
      .map((f) => `${f.name} has ${f.lines.length} lines, more than ${limits.longest}`),
    ...(long.length > files.length * (1 - limits.share)
      ? [`${long.length} of ${files.length} files are over ${limits.usual} lines, more than one in twenty`]
      : []),
    ...(everyStage.length > limits.newStage
      ? [`a new stage touches ${everyStage.length} files, more than ${limits.newStage}: ${everyStage.join(", ")}`]
      : []),
  ];
  return {
    files: files.length,
    lines: count(files),
    tests,
    long,
    wide: wide.length,
    twice: twice.length,
    bare: bare.length,
    everyStage,
    broken,
  };
}

/** Prints the figures. */
export async function structure() {
  const s = await measureStructure();
  say(`files ${s.files}, lines ${s.lines}, tests ${s.tests} (${((100 * s.tests) / s.lines).toFixed(1)} %)`);
  say(`files over ${limits.usual} lines: ${s.long.length} (${((100 * s.long.length) / s.files).toFixed(1)} %)`);
  for (const f of s.long.slice(0, 10)) say(`  ${String(f.lines.length).padStart(5)}  ${f.name}`);
  say(`lines wider than ${limits.columns} columns: ${s.wide}`);
  say(`closed lists written twice: ${s.twice}`);
  say(`existing files that a new stage touches: ${s.everyStage.length} (${s.everyStage.join(", ")})`);
  say(`packages of the lock file without an integrity hash: ${s.bare}`);
  return s.broken;
}
