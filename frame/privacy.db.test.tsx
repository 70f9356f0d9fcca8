// Nobody reads another's mark, rating, sheet or appeal: words that stand nowhere else are put into each, and looked for
// in all that every page makes or hands on, in every list, and in what is told live.
import { type Actor, can } from "@/core/access/can";
import { db } from "@/platform/db/db";
import { closeLive, watch } from "@/platform/live/live";
import { actorOf } from "@/platform/sign-in/actors";
import { guestCookie } from "@/platform/sign-in/guests";
import { digest } from "@/platform/sign-in/secrets";
import { openSession } from "@/platform/sign-in/sessions";
import { GuestScoring } from "@/stages/contest/parts/guest-scoring";
import { fileAppeal } from "@/stages/grades/commands/appeals";
import { enterMarks } from "@/stages/grades/commands/marks";
import { openPeerRound, ratePeers } from "@/stages/grades/commands/peers";
import { publishGrades } from "@/stages/grades/commands/publish";
import { publicationsOf } from "@/stages/grades/queries/publications";
import { stages } from "@/stages/index";
import { submitSheet } from "@/stages/reviews/commands/marking";
import { reportIncident } from "@/stages/shop/commands/safety";
import { moveStudent } from "@/stages/teams/commands/teams";
import { ok } from "@/stages/testing/database";
import { told } from "@/stages/testing/render";
import { openClass } from "@/stages/testing/school";
import type { World } from "@/stages/testing/world";
import { incidentTold } from "@/stages/testing/world-shop";
import { GuestScreen } from "./guest/screens/guest";
import { views } from "./testing/views";

const mockCookies: Record<string, string> = {};
jest.mock("next/headers", () => ({
  cookies: async () => ({
    get: (name: string) => ({ value: mockCookies[/guest/.test(name) ? "guest" : "person"] ?? "" }),
  }),
  headers: async () => new Map(),
}));
jest.mock("react", () => ({ ...jest.requireActual("react"), cache: (f: unknown) => f }));
jest.mock("@/ui/markdown", () => ({ Markdown: () => null }));

const secrets = {
  "a mark of Ada": "stoneflower",
  "a rating that Cyd gave": "marshlantern",
  "a sheet about Ada's team": "tinwhistle",
  "a mark of Ben that is not published": "saltcellar",
  "an appeal of Ada": "windowsill",
  "an incident that Cyd told": "lampoil",
};
type Secret = keyof typeof secrets;
const all = Object.keys(secrets) as Secret[];

let opened: Awaited<ReturnType<typeof openClass>>;
let w: World;
let people: [ada: string, ben: string, cyd: string];

beforeAll(async () => {
  opened = await openClass();
  ({ w } = opened);
  const { boss } = opened;
  const { projectId } = w;
  people = w.students as unknown as typeof people;
  const [ada, ben, cyd] = people;
  await ok(moveStudent, boss, { projectId, personId: cyd, teamId: w.a });
  const mark = (personId: string, typed: string) =>
    ok(enterMarks, boss, { projectId, marks: [{ personId, component: "notebook", version: 0, typed }] });
  await mark(ada, `17 of 20 ${secrets["a mark of Ada"]}`);
  await ok(publishGrades, boss, { projectId });
  const [published] = await publicationsOf(projectId);
  await ok(fileAppeal, await actorOf(ada), {
    id: "0190a0b0-0000-7000-8000-00000000a001",
    publicationId: published!.id,
    component: "notebook",
    words: `Look again: ${secrets["an appeal of Ada"]}`,
  });
  await mark(ben, `12 of 20 ${secrets["a mark of Ben that is not published"]}`);
  const round = (await ok(openPeerRound, boss, { projectId, title: "Rating", method: "ratings" })).id;
  const comment = secrets["a rating that Cyd gave"];
  await ok(ratePeers, await actorOf(cyd), { roundId: round, ratings: [{ ratee: ada, value: "2", comment }] });
  await ok(reportIncident, await actorOf(cyd), {
    ...incidentTold,
    id: "0190a0b0-0000-7000-8000-00000000a002",
    projectId,
    what: `A lamp fell: ${secrets["an incident that Cyd told"]}`,
  });
  await ok(submitSheet, boss, {
    reviewId: w.review,
    raterName: "Mara",
    marks: [{ criterion: "fit", points: "4", comment: secrets["a sheet about Ada's team"] }],
  });
});
afterAll(async () => {
  await closeLive();
  await opened.done();
});

/** What may not be found is no page; anything else that goes wrong goes on. */
const textOf = async (page: unknown): Promise<string> => {
  try {
    return (await told(page)).join("\n");
  } catch (error) {
    const { message, digest: code } = error as Error & { digest?: string };
    if (/NOT_FOUND|REDIRECT|404/.test(`${message}${code}`)) return "";
    throw error;
  }
};
const found = (text: string) => all.filter((s) => text.includes(secrets[s]));

/** Every page of the project and every list that somebody may have, and which secrets stand in each. */
async function readBy(person: string): Promise<Record<string, Secret[]>> {
  mockCookies.person = (await openSession(person)).secret;
  const actor = await actorOf(person);
  const read: [string, Secret[]][] = [];
  for (const [name, , make] of views) read.push([name, found(await textOf(make(w)))]);
  for (const [name, text] of await listsOf(actor)) read.push([`list of ${name}`, found(text)]);
  return Object.fromEntries(read.filter(([, s]) => s.length));
}

async function listsOf(actor: Actor): Promise<[string, string][]> {
  const lists = stages.flatMap((s) => Object.entries(s.downloads ?? {}));
  const mine = lists.filter(([, l]) => can(actor, l.act, { project: w.projectId }));
  const whole = { section: null, which: () => "" };
  return Promise.all(
    mine.map(async ([name, l]) => [name, await l.make({ id: w.projectId, currency: "cr" }, "2027-03-02", whole)]),
  );
}

const secretsIn = (read: Record<string, Secret[]>) => [...new Set(Object.values(read).flat())].sort();

test("the instructor finds each of them somewhere: so they are there to be found", async () => {
  expect(secretsIn(await readBy((opened.boss as { id: string }).id))).toEqual(all.toSorted());
});

test("a student of another team finds none of them, the own mark before it is published neither", async () => {
  expect(await readBy(people[1])).toEqual({});
});

test("a student of the same team finds the team's sheet and the rating that was the own, at most", async () => {
  const own = ["a sheet about Ada's team", "a rating that Cyd gave"];
  expect(secretsIn(await readBy(people[2])).filter((s) => !own.includes(s))).toEqual([]);
});

test("who was rated reads no rating, and what was written of others not", async () => {
  const read = secretsIn(await readBy(people[0]));
  expect(read).toEqual(expect.arrayContaining(["a mark of Ada", "an appeal of Ada"]));
  expect(read).not.toContain("a rating that Cyd gave");
  expect(read).not.toContain("a mark of Ben that is not published");
});

test.each(["client", "reviewer", "scorer", "judge", "board"] as const)(
  "a %s's link shows none of them",
  async (role) => {
    const secret = `secret of a ${role}`;
    await db()`
    INSERT INTO guest_link (id, project_id, role, label, secret_hash, expires_at)
    VALUES (gen_random_uuid(), ${w.projectId}, ${role}, 'Odile', ${digest(secret)}, now() + interval '1 day')
  `;
    mockCookies.guest = await guestCookie(secret);
    const scoring = (project: string) => <GuestScoring project={project} />;
    const pages = [<GuestScreen scoring={scoring} />, <GuestScreen review={w.review} scoring={scoring} />];
    const texts = await Promise.all(pages.map(textOf));
    expect(texts.map(found)).toEqual([[], []]);
    expect(role === "board" || texts[0]!.length > 100).toBe(true);
  },
);

test("what is told live names the subject, the request and a number, and nothing of what was written", async () => {
  const stop = new AbortController();
  const reader = (await watch(w.projectId, stop.signal, people[1])).body!.getReader();
  let text = "";
  const until = async (wanted: string) => {
    while (!text.includes(wanted)) text += new TextDecoder().decode((await reader.read()).value);
  };
  await until("ready");
  await ok(enterMarks, opened.boss, {
    projectId: w.projectId,
    marks: [{ personId: people[2], component: "notebook", version: 0, typed: "9 of 20 said aloud" }],
  });
  await until("event: change");
  stop.abort();
  const notices = text.split("\n").filter((l) => l.startsWith("data: {"));
  expect(Object.keys(JSON.parse(notices.at(-1)!.slice(6))).sort()).toEqual(["about", "number", "request"]);
  expect(text).not.toMatch(/said aloud|45/);
});
