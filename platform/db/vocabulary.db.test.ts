// Every CHECK of the database that allows a closed list allows just what the vocabulary says, and the reverse.
import { vocabularies } from "@/core/vocabulary/all";
import { freshDatabase } from "@/stages/testing/database";
import { db } from "./db";

let done: () => Promise<void>;
beforeAll(async () => {
  done = await freshDatabase();
});
afterAll(() => done());

/** Columns whose CHECK is `column = ANY (ARRAY[...])`, with the values; two CHECKs on one column allow what both do. */
async function checked(): Promise<Map<string, string[]>> {
  const rows = await db()<{ column: string; text: string }[]>`
    SELECT c.relname || '.' || a.attname AS column, pg_get_constraintdef(k.oid) AS text
    FROM pg_constraint k
    JOIN pg_class c ON c.oid = k.conrelid
    JOIN pg_attribute a ON a.attrelid = c.oid AND k.conkey = ARRAY[a.attnum]
    JOIN pg_namespace n ON n.oid = c.relnamespace
    WHERE k.contype = 'c' AND n.nspname = 'public'
  `;
  const out = new Map<string, string[]>();
  for (const { column, text } of rows) {
    const list = /^CHECK \(\(\w+ = ANY \(ARRAY\[(.*)\]\)\)\)$/.exec(text)?.[1];
    if (list) out.set(column, [...list.matchAll(/'((?:[^']|'')*)'/g)].map((m) => m[1]!).sort());
  }
  return out;
}

test("the closed lists of the database are those of the vocabulary", async () => {
  const said = new Map(
    Object.values(vocabularies).flatMap((v) => v.columns.map((c) => [c, [...v.values].sort()] as const)),
  );
  expect(Object.fromEntries([...said].sort())).toEqual(Object.fromEntries([...(await checked())].sort()));
});
