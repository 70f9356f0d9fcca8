// A team's page is read by instructors and by the team; a student's by instructors, and it holds nothing of others.
import type { Actor } from "@/core/access/can";
import { db } from "@/platform/db/db";
import { openSession } from "@/platform/sign-in/sessions";
import { ok } from "@/stages/testing/database";
import { settle, told } from "@/stages/testing/render";
import { openClass } from "@/stages/testing/school";
import { markAttendance } from "@/stages/today/commands/classes";
import { studentFacts, teamFacts } from "./queries";
import { StudentScreen } from "./screens/student";
import { TeamScreen } from "./screens/team";

let mockSecret = "";
jest.mock("next/headers", () => ({
  cookies: async () => ({ get: () => ({ value: mockSecret }) }),
  headers: async () => new Map(),
}));
jest.mock("next/navigation", () => ({
  ...jest.requireActual("next/navigation"),
  notFound: () => {
    throw new Error("not found");
  },
}));

let at: Awaited<ReturnType<typeof openClass>>;
beforeAll(async () => {
  at = await openClass();
});
afterAll(() => at.done());

const as = async (who: Actor) => {
  mockSecret = (await openSession((who as { id: string }).id)).secret;
};
const team = async (id: string) => (await told(<TeamScreen slug={at.w.slug} team={id} />)).join("");
const student = async (n: number) =>
  (await told(<StudentScreen slug={at.w.slug} person={at.w.students[n]!} />)).join("");

test("instructors read every team's page; a student the own team's, and nobody's page", async () => {
  await as(at.boss);
  expect(await team(at.w.a)).toContain("Team Alder");
  expect(await team(at.w.b)).toContain("Team Bramble");
  await as(at.mate);
  const own = await team(at.w.a);
  expect(own).toContain("Team Alder");
  // Reasons to look at a team are the instructor's, and so is who writes how much.
  expect(own).not.toContain("Where to look");
  expect(own).not.toContain("notebook entry");
  await expect(settle(<TeamScreen slug={at.w.slug} team={at.w.b} />)).rejects.toThrow("not found");
  await expect(settle(<StudentScreen slug={at.w.slug} person={at.w.students[0]!} />)).rejects.toThrow("not found");
  await as(at.boss);
  await expect(settle(<TeamScreen slug={at.w.slug} team="x" />)).rejects.toThrow("not found");
  await expect(settle(<StudentScreen slug={at.w.slug} person={at.w.build} />)).rejects.toThrow("not found");
});

test("a student's page names no other student, and tells attendance, notebook and trainings of the own", async () => {
  await as(at.boss);
  await ok(markAttendance, at.boss, {
    projectId: at.w.projectId,
    sectionId: at.w.section,
    onDate: "2027-03-02",
    personId: at.w.students[0]!,
    state: "excused",
  });
  const page = await student(0);
  expect(page).toContain("excused once");
  for (const other of at.w.names.slice(1)) expect(page).not.toContain(other);
  expect((await studentFacts(at.w.projectId, at.w.students[0]!))!.entries).toHaveLength(1);
  expect(await studentFacts(at.w.projectId, at.w.build)).toBeNull();
});

test("a team's facts are its own: actions, failures with what answers them, reviews, machines, places", async () => {
  const facts = await teamFacts(at.w.projectId, at.w.a, "2027-03-02");
  expect(facts.failures).toMatchObject([{ mode: "The drum split", closed: null }]);
  expect(facts.reviews.map((r) => r.title)).toContain("First review");
  expect(facts.bookings.length).toBeGreaterThan(0);
  const other = await teamFacts(at.w.projectId, at.w.b, "2027-03-02");
  expect([other.failures, other.bookings]).toEqual([[], []]);
  const [open] = await db()<{ n: number }[]>`
    SELECT count(*)::int AS n FROM action_item WHERE team_id = ${at.w.a} AND closed_at IS NULL
  `;
  expect(facts.actions).toHaveLength(open!.n);
});
