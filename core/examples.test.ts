// Runs every @example of the core's doc comments, and asks that every exported function has one.
import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";

const files = readdirSync(__dirname, { recursive: true })
  .map(String)
  .filter((f) => f.endsWith(".ts") && !f.endsWith(".test.ts") && !f.endsWith(".d.ts"));

const scope: Record<string, unknown> = {};
for (const file of files) Object.assign(scope, require(join(__dirname, file)));
const evaluate = (expression: string) => new Function(...Object.keys(scope), `return (${expression});`)(...Object.values(scope));

for (const file of files) {
  const source = readFileSync(join(__dirname, file), "utf8");
  const examples = [...source.matchAll(/@example (.+) \/\/ => (.+)$/gm)];
  const functions = [...source.matchAll(/(\/\*\*(?:(?!\*\/)[\s\S])*\*\/\n)?export function (\w+)/g)];
  if (functions.length === 0) continue;
  describe(file, () => {
    test("every public function has an example", () => {
      expect(functions.filter(([, comment]) => !comment?.includes("@example")).map(([, , name]) => name)).toEqual([]);
    });
    test.each(examples.map(([, expression, wanted]) => [expression!, wanted!]))("%s", (expression, wanted) => {
      expect(evaluate(expression)).toEqual(evaluate(wanted));
    });
  });
}
