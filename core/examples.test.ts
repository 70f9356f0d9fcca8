// Runs every @example of the core's doc comments, and asks that every exported function has one.
import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";

const files = readdirSync(__dirname, { recursive: true })
  .map(String)
  .filter((f) => f.endsWith(".ts") && !f.endsWith(".test.ts") && !f.endsWith(".d.ts"));

const example = /@example\s((?:(?!@example|\*\/)[\s\S])+?)\/\/ => ((?:(?!\n \* @|\n \*\/| \*\/)[\s\S])+)/g;
/** The lines of a comment without their stars. */
const bare = (text: string) => text.replaceAll(/(^|\n)\s*\*( |$)/g, "\n").trim();

const scope: Record<string, unknown> = {};
for (const file of files) Object.assign(scope, require(join(__dirname, file)));
const evaluate = (expression: string) =>
  new Function(...Object.keys(scope), `return (${expression});`)(...Object.values(scope));

for (const file of files) {
  const source = readFileSync(join(__dirname, file), "utf8");
  // An example may run over several lines of its comment; what it gives follows `// =>`.
  const examples = [...source.matchAll(example)].map(([, code, wanted]) => [bare(code!), bare(wanted!)] as const);
  const functions = [...source.matchAll(/(\/\*\*(?:(?!\*\/)[\s\S])*\*\/\n)?export function (\w+)/g)];
  if (functions.length === 0) continue;
  describe(file, () => {
    test("every public function has an example", () => {
      expect(functions.filter(([, comment]) => !comment?.includes("@example")).map(([, , name]) => name)).toEqual([]);
    });
    test.each(examples)("%s", (expression, wanted) => {
      expect(evaluate(expression)).toEqual(evaluate(wanted));
    });
  });
}
