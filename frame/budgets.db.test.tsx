// A page reads what it shows and no more: the queries of every main view are counted against a budget.
import type { ReactElement } from "react";
import { openSession } from "@/platform/sign-in/sessions";
import { PeopleScreen } from "@/stages/people/screens/people";
import { settle } from "@/stages/testing/render";
import { openClass } from "@/stages/testing/school";
import type { World } from "@/stages/testing/world";
import { ProjectShell } from "./shell/parts/project-shell";
import { views } from "./testing/views";

let mockMemo = new Map<string, unknown>();
let mockSecret = "";
jest.mock("next/headers", () => ({
  cookies: async () => ({ get: () => ({ value: mockSecret }) }),
  headers: async () => new Map(),
}));
jest.mock("@/ui/markdown", () => ({ Markdown: () => null }));
// What React keeps for one request is kept here for one page.
jest.mock("react", () => {
  let id = 0;
  const cache = (f: (...args: unknown[]) => unknown) => {
    const mine = ++id;
    return (...args: unknown[]) => {
      const key = `${mine} ${JSON.stringify(args)}`;
      if (!mockMemo.has(key)) mockMemo.set(key, f(...args));
      return mockMemo.get(key);
    };
  };
  return { ...jest.requireActual("react"), cache };
});

const heard = globalThis as unknown as { ironstoneHeard?: (query: string) => void };
let done: () => Promise<void>;
let w: World;
let slug: string;
beforeAll(async () => {
  const opened = await openClass();
  ({ done, w } = opened);
  slug = w.slug;
  mockSecret = (await openSession((opened.boss as { id: string }).id)).secret;
});
afterAll(async () => {
  heard.ironstoneHeard = undefined;
  await done();
});

/** The queries of a page, those of its shell left out: they are counted once, by themselves. */
async function queriesOf(make: () => ReactElement): Promise<string[]> {
  await settle(make()); // what is kept is fresh from here on
  mockMemo = new Map();
  await settle(<ProjectShell slug={slug}>{null}</ProjectShell>);
  const queries: string[] = [];
  // The driver's own question, asked once a connection, is not the page's.
  heard.ironstoneHeard = (q) => /pg_catalog/.test(q) || queries.push(q.trim().replace(/\s+/g, " "));
  await settle(make());
  heard.ironstoneHeard = undefined;
  return queries;
}

test.each(views)("%s: at most %i queries beside its frame", async (_, budget, make) => {
  const queries = await queriesOf(() => make(w));
  expect({ over: Math.max(0, queries.length - budget), queries: queries.length > budget ? queries : [] }).toEqual({
    over: 0,
    queries: [],
  });
  // What is asked twice could have been asked once.
  expect(queries.filter((q, i) => queries.indexOf(q) !== i)).toEqual([]);
});

test("every main view is counted, and the count counts", async () => {
  const queries = await queriesOf(() => <PeopleScreen slug={slug} />);
  expect(queries.some((q) => /FROM (enrolment|staff) /.test(q))).toBe(true);
});
