// Peer ratings against the database: who may hand in what, and that nobody reads another's.
import type { Actor } from "@/core/access/can";
import { studentHome } from "@/frame/today/home";
import { db } from "@/platform/db/db";
import type { Person } from "@/platform/registry/stage";
import { actorOf } from "@/platform/sign-in/actors";
import { mergeStudents } from "@/stages/people/commands/merge";
import { studentRecord } from "@/stages/people/queries/record";
import { studentsOf } from "@/stages/people/queries/students";
import { ok, refused } from "@/stages/testing/database";
import { worldEach } from "@/stages/testing/world-each";
import { gradebook } from "../queries/gradebook";
import { ownRatings, peerRoundsOf } from "../queries/peers";
import { enterMarks } from "./marks";
import { openPeerRound, ratePeers, setPeerRound, withdrawPeerRound } from "./peers";
import { saveScheme } from "./scheme";

const here = worldEach("Peers");
let members: string[];
let round: string;
beforeEach(async () => {
  const { projectId, a, students } = here.w;
  await db()`UPDATE membership SET team_id = ${a} WHERE project_id = ${projectId}`;
  const free = students.slice(2, 4);
  for (const id of free)
    await db()`
      INSERT INTO membership (id, project_id, team_id, person_id, from_on)
      SELECT gen_random_uuid(), ${projectId}, ${a}, ${id}, '2027-01-18'
      WHERE NOT EXISTS (SELECT FROM membership WHERE project_id = ${projectId} AND person_id = ${id} AND to_on IS NULL)
    `;
  members = (await studentsOf(projectId)).filter((s) => s.teamId === a).map((s) => s.id);
  round = (await ok(openPeerRound, here.boss, { projectId, title: "After the prototype", method: "ratings" })).id;
});
const as = async (id: string) => (await actorOf(id)) as Actor;
const sheet = (rater: string, value: (ratee: string) => string) => ({
  roundId: round,
  ratings: members.filter((m) => m !== rater).map((ratee) => ({ ratee, value: value(ratee), comment: "" })),
});
const rate = async (rater: string, value: (ratee: string) => string) =>
  ok(ratePeers, await as(rater), sheet(rater, value));

test("each one rates all others of the team once, again while it is open, and not after it is closed", async () => {
  const [ada] = members as [string];
  const mate = await as(ada);
  const wrong = async (input: object) =>
    (await refused(ratePeers, mate, { ...sheet(ada, () => "4"), ...input })).message;
  const all = sheet(ada, () => "4").ratings;
  expect(await wrong({ ratings: all.slice(1) })).toBe("Rate everybody else in your team, and nobody else.");
  expect(await wrong({ ratings: [...all, { ratee: ada, value: "5" }] })).toContain("nobody else");
  expect(await wrong({ ratings: all.map((r) => ({ ...r, value: "9" })) })).toBe(
    "A rating is a whole number from 1 to 5.",
  );
  const asked = async () => JSON.stringify(await studentHome(mate as Person, "2027-02-01")).includes("Rate your team");
  expect(await asked()).toBe(true);
  await rate(ada, () => "4");
  await rate(ada, () => "5");
  expect(await asked()).toBe(false);
  expect((await ownRatings(here.w.projectId, ada)).map((r) => r.value)).toEqual(all.map(() => "5"));
  expect((await peerRoundsOf(here.w.projectId)).find((r) => r.id === round)!.raters).toEqual([ada]);
  await ok(setPeerRound, here.boss, { id: round, version: 1, open: false });
  expect(await wrong({})).toBe("This rating is closed. Ask your instructor to open it again.");
  expect((await refused(setPeerRound, here.boss, { id: round, version: 1, open: true })).kind).toBe("conflict");
});

test("the record says that it was handed in, not what it says", async () => {
  const [ada] = members as [string];
  await rate(ada, () => "2");
  const audits = await db()<
    { after: object }[]
  >`SELECT after FROM audit WHERE act = 'ratePeers' AND project_id = ${here.w.projectId}`;
  expect(audits.map((a) => a.after)).toEqual([{ handedIn: members.length - 1 }]);
});

test("the factor multiplies the team's part, between the caps; a rating that counts cannot be taken out", async () => {
  const { projectId } = here.w;
  const [ada, ben] = members as [string, string];
  const definition = {
    decimals: 1,
    components: [
      { key: "team", name: "Team", weight: "50", peer: true, source: { kind: "entered" } },
      { key: "own", name: "Own", weight: "50", source: { kind: "entered" } },
    ],
    peers: { round, low: "0.85", high: "1.10" },
  };
  await ok(saveScheme, here.boss, { projectId, baseNumber: 1, ...definition });
  const marks = members.flatMap((personId) =>
    ["team", "own"].map((component) => ({ personId, component, version: 0, typed: "80" })),
  );
  await ok(enterMarks, here.boss, { projectId, marks });
  const grades = async () =>
    new Map((await gradebook(projectId, "2027-02-01")).rows.map((r) => [r.student.id as string, r.grade.value.grade]));
  expect((await grades()).get(ada)).toBe("80");
  // Everybody gives Ada 5 and the others 3; Ada gives all 3.
  for (const m of members) await rate(m, (ratee) => (ratee === ada ? "5" : "3"));
  expect([(await grades()).get(ada), (await grades()).get(ben)]).toEqual(["84", expect.stringMatching(/^7\d/)]);
  expect((await refused(withdrawPeerRound, here.boss, { id: round, reason: "x" })).message).toContain(
    "The grading scheme takes its peer factor from this rating.",
  );
});

test("two records of one student who rated each other become one; what one gave the other is on record", async () => {
  const [ada, ben] = members as [string, string];
  await rate(ada, () => "4");
  await rate(ben, () => "3");
  await ok(mergeStudents, here.boss, { projectId: here.w.projectId, personId: ada, fromId: ben });
  const left = await db()`SELECT FROM peer_rating WHERE round_id = ${round} AND rater_id = ratee_id`;
  expect(left).toHaveLength(0);
  const [kept] = await db()<{ before: { left: { peer_rating: unknown[] } } }[]>`
    SELECT before FROM audit WHERE act = 'mergeStudents' AND project_id = ${here.w.projectId}
  `;
  expect(kept!.before.left.peer_rating.length).toBeGreaterThanOrEqual(2);
});

test("a student's own record holds what was given, and nothing of what others gave", async () => {
  const [ada, ben] = members as [string, string];
  await rate(ada, () => "5");
  await rate(ben, () => "1");
  const { ratingsGiven } = await studentRecord(here.w.projectId, ada);
  expect(ratingsGiven.map((r) => r.value)).toEqual(members.slice(1).map(() => 5));
});
