import { db } from "@/platform/db/db";
import { freshDatabase } from "@/stages/testing/database";
import { broken } from "./constraints";

let done: () => Promise<void>;
beforeAll(async () => {
  done = await freshDatabase();
});
afterAll(() => done());

test("every unique or exclusion constraint of the database has its words, and no words are left over", async () => {
  const rows = await db()<{ name: string }[]>`
    SELECT i.relname AS name
    FROM pg_index x
    JOIN pg_class i ON i.oid = x.indexrelid
    JOIN pg_namespace n ON n.oid = i.relnamespace
    WHERE (x.indisunique OR x.indisexclusion) AND NOT x.indisprimary AND n.nspname = 'public'
  `;
  expect(Object.keys(broken).sort()).toEqual(rows.map((r) => r.name).sort());
});
