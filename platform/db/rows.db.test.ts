// The committed row types are those of the database as the migrations make it.
import { readFileSync } from "node:fs";
import { join } from "node:path";
import { freshDatabase } from "@/stages/testing/database";
import { rowsSource } from "./rows-source";

let done: () => Promise<void>;
beforeAll(async () => {
  done = await freshDatabase();
});
afterAll(() => done());

test("rows.ts is fresh: write it anew with ./ironstone rows", async () => {
  expect(readFileSync(join(process.cwd(), "platform/db/rows.ts"), "utf8")).toBe(await rowsSource());
});
