import type { Actor } from "@/core/access/can";
import { shareOfParts } from "@/core/teams/parts";
import { usualWeights } from "@/core/teams/problem";
import { solveAtOnce } from "@/core/teams/solver";
import { saveSettings } from "@/platform/project/save-settings";
import { settingsOf } from "@/platform/project/settings";
import { actorOf } from "@/platform/sign-in/actors";
import { decideConcept } from "@/stages/concepts/commands/concepts";
import { conceptsOf } from "@/stages/concepts/queries/concepts";
import { studentsOf } from "@/stages/people/queries/students";
import { ok, refused } from "@/stages/testing/database";
import { openClass } from "@/stages/testing/school";
import type { World } from "@/stages/testing/world";
import { problemOf } from "../queries/forming";
import { partsOf } from "../queries/parts";
import { teamsOf } from "../queries/teams";
import { drawSelectionOrder, formByIdea, foundTeam, joinTeam } from "./choosing";
import { adoptTeamPlan, saveTeamPlan, undoTeamPlan } from "./forming";
import { savePart } from "./parts";
import { retireTeam } from "./teams";

let done: () => Promise<void>;
let boss: Actor;
let mate: Actor;
let w: World;

beforeAll(async () => {
  ({ done, boss, mate, w } = await openClass());
});
afterAll(() => done());

describe("teams", () => {
  const setup = { min: 1, max: 2, teams: 0, conceptIds: [], sectionIds: [], weights: usualWeights };
  test("the solver's answer is checked on the server, adopted, and undone to where everybody sat", async () => {
    const problem = await problemOf(w.projectId, setup);
    expect(problem.apart).toEqual([[w.students[0], w.students[2]]]);
    const solved = solveAtOnce(problem, { seed: "3", moves: 2000 });
    const assignment: Record<string, string> = solved.ok ? { ...solved.assignment } : {};
    const broken = { ...assignment, [w.students[0]!]: assignment[w.students[2]!]! };
    expect(
      (
        await refused(saveTeamPlan, boss, {
          projectId: w.projectId,
          name: "Bad",
          seed: "3",
          setup,
          assignment: broken,
        })
      ).message,
    ).toContain("breaks a limit");
    expect(
      (
        await refused(saveTeamPlan, boss, {
          projectId: w.projectId,
          name: "Bad",
          seed: "3",
          setup,
          assignment: {},
        })
      ).message,
    ).toContain("changed");
    const { id } = await ok(saveTeamPlan, boss, {
      projectId: w.projectId,
      name: "Good",
      seed: "3",
      setup,
      assignment,
    });
    const seats = async () => Object.fromEntries((await studentsOf(w.projectId)).map((s) => [s.id, s.teamId]));
    const before = await seats();
    await ok(adoptTeamPlan, boss, { id });
    expect(await seats()).toEqual(assignment);
    await ok(undoTeamPlan, boss, { id });
    expect(await seats()).toEqual(before);
    expect((await refused(undoTeamPlan, boss, { id })).message).toContain("nothing to undo");
  });
  test(
    "a student joins a team only where the project lets them, within its size and apart from whom they " +
      "are kept apart",
    async () => {
      expect(
        (await refused(joinTeam, mate, { projectId: w.projectId, personId: w.students[0], teamId: w.b })).message,
      ).toContain("do not choose");
      await ok(saveSettings, boss, { projectId: w.projectId, teamSchool: "self", teamMin: 1, teamMax: 2 });
      await ok(joinTeam, mate, { projectId: w.projectId, personId: w.students[0], teamId: w.b });
      const third = await actorOf(w.students[2]!);
      expect(
        (await refused(joinTeam, third, { projectId: w.projectId, personId: w.students[2], teamId: w.b })).message,
      ).toContain("full");
      await ok(saveSettings, boss, { projectId: w.projectId, teamMax: 3 });
      expect(
        (await refused(joinTeam, third, { projectId: w.projectId, personId: w.students[2], teamId: w.b })).message,
      ).toContain("Ask your instructor");
      await ok(joinTeam, mate, { projectId: w.projectId, personId: w.students[0], teamId: w.a });
    },
  );
  test("a student founds a team in the own section, is its first member, and others join it", async () => {
    const own = { projectId: w.projectId, personId: w.students[0], name: "Rowan" };
    expect((await refused(foundTeam, mate, own)).message).toContain("You are in Alder. Leave it before");
    await ok(joinTeam, mate, { projectId: w.projectId, personId: w.students[0] });
    expect((await refused(foundTeam, mate, { ...own, name: "alder" })).message).toContain("a team of this name");
    const { id } = await ok(foundTeam, mate, own);
    const team = (await teamsOf(w.projectId)).find((t) => t.id === id)!;
    const me = (await studentsOf(w.projectId)).find((x) => x.id === w.students[0])!;
    expect([team.name, team.sectionId, team.members.map((m) => m.id)]).toEqual(["Rowan", me.sectionId, [me.id]]);
    await ok(joinTeam, mate, { projectId: w.projectId, personId: w.students[0], teamId: w.a });
    await ok(retireTeam, boss, { id });
    await ok(saveSettings, boss, { projectId: w.projectId, teamSchool: "idea" });
    expect((await refused(foundTeam, mate, own)).message).toContain("do not choose");
  });
  test("teams by adopted idea take in the authors who have no team", async () => {
    await ok(decideConcept, boss, { id: w.concept, version: 1, fate: "goes on", reason: "simple to mend" });
    const going = (await conceptsOf(w.projectId, boss)).filter((k) => k.fate === "goes on");
    expect(going.map((k) => k.id)).toEqual([w.concept]);
    const r = await ok(formByIdea, boss, { projectId: w.projectId });
    expect(r.teams).toBe(going.length);
    expect((await teamsOf(w.projectId)).filter((t) => t.conceptId).map((t) => t.concept)).toEqual(
      going.map((k) => k.title),
    );
    expect((await refused(formByIdea, boss, { projectId: w.projectId })).message).toContain("already");
  });
  test("parts that nobody has and unequal shares are said; owners are members", async () => {
    await ok(savePart, boss, { teamId: w.a, name: "Frame" });
    const members = (await teamsOf(w.projectId)).find((t) => t.id === w.a)!.members;
    expect(
      shareOfParts(
        (await partsOf(w.projectId)).filter((x) => x.teamId === w.a),
        members,
        (await settingsOf(w.projectId)).shareSchool,
      ).says,
    ).toEqual(["Nobody has Frame."]);
    expect((await refused(savePart, boss, { teamId: w.a, name: "Hose", owners: [w.students[1]] })).message).toContain(
      "members of the team",
    );
  });
  test("the selection order repeats from its seed", async () => {
    const a = await ok(drawSelectionOrder, boss, { projectId: w.projectId, seed: "99" });
    expect(await ok(drawSelectionOrder, boss, { projectId: w.projectId, seed: "99" })).toEqual(a);
  });
});
