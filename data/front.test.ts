// The front of the work against the real database: what is kept, what is refused, what is seen by whom.
import { randomUUID } from "node:crypto";
import type { Actor } from "@/core/access/can";
import { shareOfParts } from "@/core/teams/parts";
import { usualWeights } from "@/core/teams/problem";
import { solveAtOnce } from "@/core/teams/solver";
import * as brief from "./brief";
import { saveBuild } from "./builds";
import * as concepts from "./concepts";
import { db } from "./db";
import * as forming from "./forming";
import * as gates from "./gates";
import * as interviews from "./interviews";
import { requirementsOf, saveRequirement } from "./needs";
import * as notebook from "./notebook";
import { tables } from "./bundle";
import { actorOf, eraseStudent, importRoster, previewRoster, studentsOf } from "./people";
import * as plan from "./plan";
import { briefVersions, createEdition, saveBrief } from "./projects";
import * as register from "./register";
import * as selection from "./selection";
import { saveSettings, settingsOf } from "./settings";
import { firstInstructor, freshDatabase, makeProject, ok, refused, type World } from "./testing/school";
import { frameOf } from "./frame";
import { teamsOf } from "./teams";

let done: () => Promise<void>;
let boss: Actor;
let mate: Actor;
let other: Actor;
let w: World;
let client: Actor;
beforeAll(async () => {
  done = await freshDatabase();
  const owner = await firstInstructor();
  w = await makeProject(owner, "Front");
  boss = await actorOf(owner.id);
  [mate, other] = [await actorOf(w.students[0]!), await actorOf(w.students[1]!)];
  client = { kind: "guest", id: randomUUID(), name: "Odile", role: "client", project: w.projectId };
  await db()`
    INSERT INTO guest_link (id, project_id, role, label, secret_hash, expires_at)
    VALUES (${client.id}, ${w.projectId}, 'client', 'Odile', 'x', now() + interval '1 day')
  `;
});
afterAll(() => done());

describe("brief", () => {
  test(
    "a rule with a number finds its requirement; a changed number shows both places; a person's link " +
      "stays with the words",
    async () => {
      await ok(saveBrief, boss, {
        projectId: w.projectId,
        baseNumber: 1,
        body: "## Rules\n\n- Weighs at most **5.0 kg**\n- Costs at most 45",
        whatChanged: "Rules",
      });
      const lines = async () => brief.rulesOf(w.projectId, (await briefVersions(w.projectId))[0]!.body);
      expect((await lines()).map((l) => [l.rule.text, l.requirement?.code ?? null, l.differs])).toEqual([
        ["Weighs at most 5.0 kg", "R-02", null],
        ["Costs at most 45", null, null],
      ]);
      await ok(brief.linkBriefRule, boss, {
        projectId: w.projectId,
        key: (await lines())[0]!.rule.key,
        requirementId: w.mass,
      });
      await ok(saveBrief, boss, {
        projectId: w.projectId,
        baseNumber: 2,
        body: "## Rules\n\n- Weighs at most **4.5 kg**",
        whatChanged: "Lighter",
      });
      expect((await lines()).map((l) => [l.linked, l.differs])).toEqual([
        [true, "the rule says 4.5 kg, the requirement ≤ 5 kg"],
      ]);
    },
  );
  test("the best try of each group counts in the entry challenge, and equal readings share a place", async () => {
    for (const [who, value] of [
      ["A", "120"],
      ["B", "150"],
      ["A", "150.4"],
      ["C", "90"],
    ])
      await ok(brief.recordChallenge, boss, { id: randomUUID(), challengeId: w.challenge, who, value });
    const [c] = await brief.challengesOf(w.projectId);
    expect(c!.results.filter((r) => r.best).map((r) => [r.who, r.place, r.shared])).toEqual([
      ["B", 1, true],
      ["A", 1, true],
      ["C", 3, false],
    ]);
    expect(
      (
        await refused(brief.recordChallenge, boss, {
          id: randomUUID(),
          challengeId: w.challenge,
          who: "D",
          value: "3 s",
        })
      ).message,
    ).toContain("is a time");
  });
});

describe("interviews", () => {
  test(
    "a note sent twice is one; one written before the session was closed still arrives, one after is " + "refused",
    async () => {
      const id = randomUUID();
      const writtenAt = new Date().toISOString();
      await ok(interviews.writeNote, mate, { id, sourceId: w.source, text: "ten minutes a bed" });
      await ok(interviews.writeNote, mate, { id, sourceId: w.source, text: "ten minutes a bed" });
      expect(
        (await refused(interviews.writeNote, mate, { id, sourceId: w.source, text: "another text" })).message,
      ).toContain("saved already");
      await ok(interviews.closeSource, boss, { id: w.source, closed: true });
      await ok(interviews.writeNote, other, {
        id: randomUUID(),
        sourceId: w.source,
        text: "late, from the cellar",
        writtenAt,
      });
      expect(
        (await refused(interviews.writeNote, other, { id: randomUUID(), sourceId: w.source, text: "after" })).message,
      ).toContain("closed");
      expect((await interviews.notesOf(w.projectId, w.source)).map((n) => n.text).sort()).toEqual([
        "I carry it up the steps.",
        "late, from the cellar",
        "ten minutes a bed",
      ]);
    },
  );
  test("drafts merged into a question keep who drafted them and bring their notes", async () => {
    await ok(interviews.mergeQuestions, boss, { projectId: w.projectId, into: w.question2, from: [w.question] });
    const all = await interviews.questionsOf(w.projectId);
    expect(all.find((q) => q.id === w.question)).toMatchObject({
      mergedInto: w.question2,
      draftedBy: "Ada Quill of Front",
    });
    expect(all.find((q) => q.id === w.question2)!.answers).toBe(1);
  });
  test(
    "likely duplicates are offered until a person decides; merged ones bring their notes and can come " + "out again",
    async () => {
      const groups = async () =>
        (await interviews.lookOver(w.projectId, await interviews.statementsOf(w.projectId))).groups.map((g) =>
          g.members.map((m) => m.id),
        );
      expect(await groups()).toEqual([[w.statement, w.statement2]]);
      await ok(interviews.mergeStatements, mate, { projectId: w.projectId, into: w.statement, from: [w.statement2] });
      expect(await groups()).toEqual([]);
      await ok(interviews.unmergeStatement, mate, { id: w.statement2 });
      await ok(interviews.tellApart, mate, { projectId: w.projectId, a: w.statement2, b: w.statement });
      expect(await groups()).toEqual([]);
    },
  );
  test("an open question is on the client's page; its answer is a source and joins the statement", async () => {
    const { id } = await ok(interviews.askClient, boss, { statementId: w.statement, text: "How many steps?" });
    expect((await interviews.clientQuestions(w.projectId)).map((q) => [q.text, q.forClient])).toEqual([
      ["How many steps?", true],
    ]);
    await ok(interviews.answerQuestion, client, { questionId: id, text: "Nine." });
    expect((await refused(interviews.answerQuestion, client, { questionId: id, text: "Ten." })).message).toContain(
      "already",
    );
    expect((await interviews.sourcesOf(w.projectId)).find((s) => s.kind === "answer")).toMatchObject({
      who: "Odile",
      notes: 1,
    });
    expect(
      (await interviews.statementsOf(w.projectId)).find((s) => s.id === w.statement)!.notes.map((n) => n.text),
    ).toContain("Nine.");
  });
});

describe("the register", () => {
  test("a statement becomes a requirement and is traced back to the words, and on to builds and verdicts", async () => {
    const { requirementId, code } = await ok(register.adoptStatement, boss, { id: w.statement });
    expect((await requirementsOf(w.projectId)).find((r) => r.id === requirementId)).toMatchObject({
      code,
      source: "Interview 1: “I carry it up the steps.”",
    });
    expect((await register.traceOf(requirementId)).statements[0]!.notes.map((n) => n.text)).toEqual([
      "I carry it up the steps.",
      "Nine.",
    ]);
    await ok(interviews.linkStatement, boss, { id: w.statement2, requirementId: w.flow });
    const t = await register.traceOf(w.flow);
    expect([t.statements.length, t.builds.map((b) => [b.label, b.runs])]).toEqual([1, [["Alder G1", 1]]]);
    expect((await refused(register.adoptStatement, boss, { id: w.statement })).message).toContain("already");
  });
  test("after the baseline a change of a limit is counted and leaves a change request; wording does not", async () => {
    await ok(register.makeBaseline, boss, { projectId: w.projectId, note: "Odile" });
    const r = (await requirementsOf(w.projectId)).find((x) => x.id === w.mass)!;
    const input = {
      projectId: w.projectId,
      id: r.id,
      kind: r.kind,
      priority: r.priority,
      measure: "mass",
      comparator: "≤",
      unit: "kg",
      method: "inspection",
    };
    await ok(saveRequirement, boss, {
      ...input,
      version: r.rowVersion,
      statement: "At most five kilograms",
      target: "5",
    });
    await ok(saveRequirement, boss, {
      ...input,
      version: r.rowVersion + 1,
      statement: "At most five kilograms",
      target: "4.5",
      reason: "The steps",
    });
    expect(
      (await register.changesOf(w.projectId)).filter((c) => c.state === "accepted").map((c) => [c.what, c.reason]),
    ).toEqual([["R-02: ≤ 5 kg becomes ≤ 4.5 kg", "The steps"]]);
    expect((await register.volatilityOf(w.projectId, "2099-01-01")).changes).toBe(2);
    await ok(register.decideChange, boss, { id: w.change, version: 1, state: "declined", decision: "The steps stay" });
    expect(
      (await refused(register.decideChange, boss, { id: w.change, version: 1, state: "accepted", decision: "x" })).kind,
    ).toBe("conflict");
  });
  test("limits that cannot both hold are found", async () => {
    await ok(saveRequirement, boss, {
      projectId: w.projectId,
      statement: "Heavy enough to stand",
      kind: "constraint",
      priority: "should",
      measure: "mass",
      comparator: "≥",
      unit: "kg",
      target: "6",
      method: "inspection",
    });
    expect(register.clashesOf(await requirementsOf(w.projectId)).map((c) => c.why)).toEqual([
      "≤ 4.5 kg and ≥ 6 kg cannot both hold",
    ]);
  });
  test(
    "the register goes out as a table and comes in again unchanged; wrong rows are named and nothing is " + "written",
    async () => {
      const rows = await register.registerTable(w.projectId);
      const text = rows.map((r) => r.map((c) => `"${String(c ?? "").replaceAll('"', '""')}"`).join(",")).join("\n");
      const same = await ok(register.importRequirements, boss, { projectId: w.projectId, text, commit: true });
      expect([same.written, same.lines.map((l) => [l.does, l.problem]).filter(([d]) => d !== "same")]).toEqual([0, []]);
      const before = (await requirementsOf(w.projectId)).length;
      const bad = await ok(register.importRequirements, boss, {
        projectId: w.projectId,
        commit: true,
        text:
          "Code,Statement,Priority,Comparator,Target,Unit,Verified by\nR-99,Ghost,must,,,,test\n,Stands on " +
          "grass,should,,,,\n,Holds,should,≥,five,kg,test",
      });
      expect(bad.lines.map((l) => [l.line, l.does])).toEqual([
        [2, "wrong"],
        [3, "adds"],
        [4, "wrong"],
      ]);
      expect([bad.written, (await requirementsOf(w.projectId)).length]).toEqual([0, before]);
      const good = await ok(register.importRequirements, boss, {
        projectId: w.projectId,
        commit: true,
        text: "Statement,Priority\nStands on grass,should",
      });
      expect([good.written, (await requirementsOf(w.projectId)).length]).toEqual([1, before + 1]);
    },
  );
});

describe("concepts and their choice", () => {
  test("a student sees only the own ones until all are opened; so does the client", async () => {
    const { id } = await ok(concepts.saveConcept, mate, {
      projectId: w.projectId,
      title: "Swing tube",
      mass: "4.2 kg",
      dimensions: "bore = 40 mm\nlength: 2.4 m",
    });
    const seen = async (a: Actor) => (await concepts.conceptsOf(w.projectId, a)).map((k) => k.title);
    expect([await seen(mate), await seen(other), await seen(client)]).toEqual([["Swing tube"], [], []]);
    expect(
      (await refused(concepts.saveConcept, mate, { projectId: w.projectId, title: "X", dimensions: "bore 40" }))
        .message,
    ).toContain("bore = 40 mm");
    await ok(concepts.claimMust, mate, {
      conceptId: id,
      requirementId: w.flow,
      says: "yes",
      how: "swing",
      estimate: "6 L/min",
    });
    const k = (await concepts.conceptsOf(w.projectId, mate))[0]!;
    expect(
      concepts.screen(concepts.mustsOf(await requirementsOf(w.projectId)), k).map((s) => [s.must.code, s.status.value]),
    ).toEqual([
      ["R-01", "not met"],
      ["R-02", "met"],
      ["R-03", "untested"],
    ]);
    await ok(saveSettings, boss, { projectId: w.projectId, conceptsOpen: true });
    expect([(await seen(other)).length, (await seen(client)).length]).toEqual([3, 3]);
  });
  test("a merged concept keeps both parents, and they stay on record", async () => {
    const { id } = await ok(concepts.mergeConcepts, boss, {
      projectId: w.projectId,
      title: "Both",
      parents: [w.concept, w.concept2],
      reason: "each has half",
    });
    const all = await concepts.conceptsOf(w.projectId, boss);
    expect(all.find((k) => k.id === id)!.parents.map((x) => x.title)).toEqual(["Bellows", "Piston"]);
    expect((await concepts.fatesOf(w.concept)).map((f) => [f.fate, f.reason])).toEqual([
      ["merged", "each has half (into Both)"],
    ]);
    expect(
      (
        await refused(concepts.mergeConcepts, boss, {
          projectId: w.projectId,
          title: "Again",
          parents: [w.concept, id],
          reason: "x",
        })
      ).message,
    ).toContain("already");
  });
  test("who rates depends on the method; sheets are checked; closing gives each its fate and reason", async () => {
    const two = (await concepts.conceptsOf(w.projectId, boss)).filter((k) => k.fate === "open").map((k) => k.id);
    const { id } = await ok(selection.openSelection, boss, {
      projectId: w.projectId,
      title: "Client's choice",
      school: "client",
      conceptIds: two,
      keep: 1,
    });
    expect(
      (await refused(selection.rateConcepts, mate, { selectionId: id, marks: { chosen: [two[0]] } })).message,
    ).toContain("client chooses");
    expect(
      (await refused(selection.rateConcepts, client, { selectionId: id, marks: { chosen: [two[0]], reasons: {} } }))
        .message,
    ).toContain("why you choose");
    expect(
      (await refused(selection.rateConcepts, client, { selectionId: id, marks: { chosen: two, reasons: {} } })).message,
    ).toContain("At most 1");
    await ok(selection.rateConcepts, client, {
      selectionId: id,
      marks: { chosen: [two[1]], reasons: { [two[1]!]: "I can mend it" } },
    });
    expect((await refused(selection.closeSelection, boss, { id, version: 1, going: two })).message).toContain(
      "1 of 2 go on; 2 are chosen",
    );
    await ok(selection.closeSelection, boss, { id, version: 1, going: [two[1]] });
    const after = await concepts.conceptsOf(w.projectId, boss);
    expect([after.find((k) => k.id === two[1])!.fateReason, after.find((k) => k.id === two[0])!.fate]).toEqual([
      "Odile: I can mend it",
      "set aside",
    ]);
    expect(
      (await refused(concepts.claimMust, mate, { conceptId: two[0], requirementId: w.flow, says: "no" })).message,
    ).toContain("decided");
  });
  test(
    "a panel's totals, the agreement and what flips the winner come from its sheets; weights from pairs " + "are kept",
    async () => {
      const [a, b] = [w.concept, w.concept2];
      const { id } = await ok(selection.openSelection, boss, {
        projectId: w.projectId,
        title: "Panel",
        school: "panel",
        conceptIds: [a, b],
        top: 10,
        keep: 1,
        severity: "adjusted",
        criteria: [
          { key: "x", name: "Fit", weight: 1 },
          { key: "y", name: "Cost", weight: 1 },
        ],
      });
      await ok(selection.rateConcepts, boss, { selectionId: id, marks: { [a]: { x: 8, y: 4 }, [b]: { x: 5, y: 6 } } });
      await ok(selection.rateConcepts, client, {
        selectionId: id,
        marks: { [a]: { x: 7, y: 3 }, [b]: { x: 4, y: 5 } },
      });
      expect(
        (await refused(selection.rateConcepts, client, { selectionId: id, marks: { [a]: { x: 11 } } })).message,
      ).toContain("0 to 10");
      const x = (await selection.selectionsOf(w.projectId)).find((y) => y.id === id)!;
      const o = selection.outcomeOf(x);
      expect(o.rows.map((r) => [r.title, r.shown])).toEqual([
        ["Piston", "5.50"],
        ["Bellows", "5.00"],
      ]);
      expect([o.agreement, o.raters!.raters.map((r) => r.severity!.toFixed(1)), o.flips[0]!.at!.toFixed(2)]).toEqual([
        1,
        ["0.5", "-0.5"],
        "0.40",
      ]);
      await ok(selection.weighSelection, boss, { id, version: 1, weights: [0.2, 0.8], pairs: { "0/1": 0.25 } });
      const later = (await selection.selectionsOf(w.projectId)).find((y) => y.id === id)!;
      expect([
        selection.outcomeOf(later).rows[0]!.title,
        selection.pairwiseOf(later.definition)!.weights.map((v) => v.toFixed(1)),
      ]).toEqual(["Bellows", ["0.2", "0.8"]]);
    },
  );
});

describe("teams", () => {
  const setup = { min: 1, max: 2, teams: 0, conceptIds: [], sectionIds: [], weights: usualWeights };
  test("the solver's answer is checked on the server, adopted, and undone to where everybody sat", async () => {
    const problem = await forming.problemOf(w.projectId, setup);
    expect(problem.apart).toEqual([[w.students[0], w.students[2]]]);
    const solved = solveAtOnce(problem, { seed: "3", moves: 2000 });
    const assignment: Record<string, string> = solved.ok ? { ...solved.assignment } : {};
    const broken = { ...assignment, [w.students[0]!]: assignment[w.students[2]!]! };
    expect(
      (
        await refused(forming.saveTeamPlan, boss, {
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
        await refused(forming.saveTeamPlan, boss, {
          projectId: w.projectId,
          name: "Bad",
          seed: "3",
          setup,
          assignment: {},
        })
      ).message,
    ).toContain("changed");
    const { id } = await ok(forming.saveTeamPlan, boss, {
      projectId: w.projectId,
      name: "Good",
      seed: "3",
      setup,
      assignment,
    });
    const seats = async () => Object.fromEntries((await studentsOf(w.projectId)).map((s) => [s.id, s.teamId]));
    const before = await seats();
    await ok(forming.adoptTeamPlan, boss, { id });
    expect(await seats()).toEqual(assignment);
    await ok(forming.undoTeamPlan, boss, { id });
    expect(await seats()).toEqual(before);
    expect((await refused(forming.undoTeamPlan, boss, { id })).message).toContain("nothing to undo");
  });
  test(
    "a student joins a team only where the project lets them, within its size and apart from whom they " +
      "are kept apart",
    async () => {
      expect(
        (await refused(forming.joinTeam, mate, { projectId: w.projectId, personId: w.students[0], teamId: w.b }))
          .message,
      ).toContain("do not choose");
      await ok(saveSettings, boss, { projectId: w.projectId, teamSchool: "self", teamMin: 1, teamMax: 2 });
      await ok(forming.joinTeam, mate, { projectId: w.projectId, personId: w.students[0], teamId: w.b });
      const third = await actorOf(w.students[2]!);
      expect(
        (await refused(forming.joinTeam, third, { projectId: w.projectId, personId: w.students[2], teamId: w.b }))
          .message,
      ).toContain("full");
      await ok(saveSettings, boss, { projectId: w.projectId, teamMax: 3 });
      expect(
        (await refused(forming.joinTeam, third, { projectId: w.projectId, personId: w.students[2], teamId: w.b }))
          .message,
      ).toContain("Ask your instructor");
      await ok(forming.joinTeam, mate, { projectId: w.projectId, personId: w.students[0], teamId: w.a });
    },
  );
  test("teams by adopted idea take in the authors who have no team", async () => {
    const going = (await concepts.conceptsOf(w.projectId, boss)).filter((k) => k.fate === "goes on");
    const r = await ok(forming.formByIdea, boss, { projectId: w.projectId });
    expect(r.teams).toBe(going.length);
    expect((await teamsOf(w.projectId)).filter((t) => t.conceptId).map((t) => t.concept)).toEqual(
      going.map((k) => k.title),
    );
    expect((await refused(forming.formByIdea, boss, { projectId: w.projectId })).message).toContain("already");
  });
  test("parts that nobody has and unequal shares are said; owners are members", async () => {
    await ok(forming.savePart, boss, { teamId: w.a, name: "Frame" });
    const members = (await teamsOf(w.projectId)).find((t) => t.id === w.a)!.members;
    expect(
      shareOfParts(
        (await forming.partsOf(w.projectId)).filter((x) => x.teamId === w.a),
        members,
        (await settingsOf(w.projectId)).shareSchool,
      ).says,
    ).toEqual(["Nobody has Frame."]);
    expect(
      (await refused(forming.savePart, boss, { teamId: w.a, name: "Hose", owners: [w.students[1]] })).message,
    ).toContain("members of the team");
  });
  test("the selection order repeats from its seed", async () => {
    const a = await ok(forming.drawSelectionOrder, boss, { projectId: w.projectId, seed: "99" });
    expect(await ok(forming.drawSelectionOrder, boss, { projectId: w.projectId, seed: "99" })).toEqual(a);
  });
});

describe("plan and calendar", () => {
  test("tasks that would wait for each other are named", async () => {
    const { id } = await ok(plan.saveTask, boss, {
      projectId: w.projectId,
      title: "Cut the lever",
      length: 3,
      after: [w.task],
    });
    expect(
      (
        await refused(plan.saveTask, boss, {
          projectId: w.projectId,
          id: w.task,
          version: 1,
          title: "Draw the lever",
          length: 2,
          after: [id],
        })
      ).message,
    ).toBe("“Draw the lever” would wait for itself, over Cut the lever.");
    await ok(plan.removeTask, boss, { id });
    expect((await plan.tasksOf(w.projectId)).map((t) => t.after)).toEqual([[]]);
  });
  test("a section's pattern with double periods, its own dates and extra sessions make its calendar", async () => {
    const frame = async () => (await frameOf(w.slug, boss))!;
    const before = (await frame()).sessions.length;
    await ok(plan.addExtraSession, boss, { projectId: w.projectId, onDate: "2027-01-20", reason: "swap" });
    expect((await frame()).sessions.length).toBe(before + 1);
    await ok(plan.saveSectionPattern, boss, {
      projectId: w.projectId,
      sectionId: w.section,
      version: 1,
      pattern: "weekdays",
      days: [1],
      double: [1],
      startsOn: "2027-02-01",
      endsOn: "2027-02-12",
    });
    expect((await frame()).sessions.map((s) => s.date)).toEqual([
      "2027-02-01",
      "2027-02-01",
      "2027-02-08",
      "2027-02-08",
    ]);
    expect(
      (
        await refused(plan.saveSectionPattern, boss, {
          projectId: w.projectId,
          sectionId: w.section,
          version: 2,
          pattern: "weekdays",
          days: [1],
          double: [2],
        })
      ).message,
    ).toContain("on which the section meets");
    await ok(plan.saveSectionPattern, boss, {
      projectId: w.projectId,
      sectionId: w.section,
      version: 2,
      pattern: "weekdays",
      days: [1, 2, 4],
    });
  });
  test(
    "days off come in from a calendar file: repeated and several days unfolded, what is no whole day is " + "named",
    async () => {
      const event = (lines: string) => `BEGIN:VEVENT\r\nUID:${randomUUID()}\r\n${lines}\r\nEND:VEVENT`;
      const text =
        `BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:x\r\n` +
        [
          event("SUMMARY:Half-term\r\nDTSTART;VALUE=DATE:20270222\r\nDTEND;VALUE=DATE:20270225"),
          event("SUMMARY:Staff\r\nDTSTART;VALUE=DATE:20270301\r\nRRULE:FREQ=WEEKLY;COUNT=2"),
          event("SUMMARY:Concert\r\nDTSTART:20270303T100000Z"),
          event("SUMMARY:Summer\r\nDTSTART;VALUE=DATE:20270801"),
        ].join("\r\n") +
        `\r\nEND:VCALENDAR\r\n`;
      const seen = await ok(plan.importDaysOff, boss, { projectId: w.projectId, text });
      expect([seen.days.map((d) => d.date), seen.problems, seen.outside, seen.written]).toEqual([
        ["2027-02-22", "2027-02-23", "2027-02-24", "2027-03-01", "2027-03-08"],
        ["entry 3 “Concert” is not a whole day, so it is left out."],
        1,
        0,
      ]);
      expect((await ok(plan.importDaysOff, boss, { projectId: w.projectId, text, commit: true })).written).toBe(5);
      expect((await ok(plan.importDaysOff, boss, { projectId: w.projectId, text: "hello" })).problems[0]).toContain(
        "not a calendar file",
      );
    },
  );
});

describe("gates", () => {
  const build = (stage: string) => ({ teamId: w.a, stage, builtOn: "2027-03-01", whatChanged: "x" });
  test(
    "strictness decides: a warning, a refusal with what is missing, or nothing; a signature opens it and " +
      "says what was missing",
    async () => {
      await ok(saveBuild, boss, build("final"));
      await ok(saveSettings, boss, { projectId: w.projectId, gateStrictness: "block" });
      expect((await refused(saveBuild, mate, build("final"))).message).toContain(
        "own drawing (missing from Ada Quill of Front)",
      );
      const { id: early } = await ok(saveBuild, mate, build("mock-up"));
      expect((await refused(saveBuild, mate, { ...build("final"), id: early, version: 1 })).message).toContain(
        "own drawing",
      );
      await ok(gates.tickGate, mate, { itemId: w.gateItem, personId: w.students[0], on: true });
      expect(
        (await refused(gates.tickGate, mate, { itemId: w.gateItem, personId: w.students[1], on: true })).kind,
      ).toBe("forbidden");
      expect((await refused(saveBuild, mate, build("final"))).message).toContain("not signed yet");
      await ok(gates.addGateItem, boss, { milestoneId: w.gate, kind: "tool", toolId: w.tool, needs: 1 });
      await ok(gates.signGate, boss, { milestoneId: w.gate, teamId: w.a, on: true });
      await ok(saveBuild, mate, build("final"));
      expect((await gates.gatesOf(w.projectId))[0]!.teams.find((t) => t.id === w.a)!.signed!.missing).toBe(
        "Signed for the drill press: nobody is signed; 1 must be",
      );
      expect((await db()`SELECT FROM milestone_check WHERE milestone_id = ${w.gate} AND team_id = ${w.a}`).length).toBe(
        1,
      );
      await ok(gates.signTool, boss, { toolId: w.tool, personId: w.students[0], on: true });
      expect((await gates.gatesOf(w.projectId))[0]!.teams.find((t) => t.id === w.a)!.states.map((s) => s.met)).toEqual([
        true,
        true,
      ]);
    },
  );
});

test("a notebook entry keeps its first writing beside every amendment", async () => {
  await ok(notebook.amendEntry, mate, {
    id: w.entryOfNotebook,
    version: 1,
    text: "The seal leaked at the top.",
    reason: "looked again",
  });
  const [e] = await notebook.entriesOf(w.projectId, w.students[0]!);
  expect(e!.versions.map((v) => [v.text, v.reason])).toEqual([
    ["The seal leaked.", ""],
    ["The seal leaked at the top.", "looked again"],
  ]);
  expect(
    (await refused(notebook.amendEntry, mate, { id: w.entryOfNotebook, version: 1, text: "x", reason: "y" })).kind,
  ).toBe("conflict");
  expect(
    (
      await refused(notebook.writeEntry, other, {
        id: w.entryOfNotebook,
        projectId: w.projectId,
        personId: w.students[1],
        text: "mine now",
      })
    ).kind,
  ).toBe("missing");
});

test("a roster of 1,500 rows comes in; wrong rows are named by their line", async () => {
  const row = (i: number) => `Student ${i},3,s${i}@roster.example`;
  const rows = Array.from({ length: 1500 }, (_, i) => row(i));
  const bad = await ok(previewRoster, boss, {
    projectId: w.projectId,
    text: ["Name,Section,Email", ...rows.map((r, i) => (i === 700 ? "Student 700,9,x" : r))].join("\n"),
  });
  expect([bad.problems.length > 0, bad.problems.every((p) => JSON.stringify(p).includes("702"))]).toEqual([true, true]);
  const good = await ok(previewRoster, boss, {
    projectId: w.projectId,
    text: ["Name,Section,Email", ...rows].join("\n"),
  });
  expect((await ok(importRoster, boss, { projectId: w.projectId, rows: good.rows })).added).toBe(1500);
});

test("the next edition carries the schools, the tools and the questions over", async () => {
  const { projectId } = await ok(createEdition, boss, {
    projectId: w.projectId,
    title: "Front, next",
    startsOn: "2028-01-17",
    endsOn: "2028-03-24",
  });
  expect((await gates.toolsOf(projectId)).map((t) => [t.name, t.signed.length])).toEqual([["Drill press", 0]]);
  expect((await interviews.questionsOf(projectId)).map((q) => q.text)).toEqual(["What may it weigh?"]);
});

test("an erased student's name stands in no table any more, and what the class did stays", async () => {
  const [name, me] = [(mate as { name: string }).name, w.students[0]!];
  const anywhere = async () => {
    const out: string[] = [];
    for (const t of tables) {
      const [r] = await db().unsafe<{ n: number }[]>(
        `SELECT count(*)::int AS n FROM ${t.name} x WHERE to_jsonb(x)::text LIKE $1`,
        [`%${name}%`],
      );
      if (r!.n) out.push(t.name);
    }
    return out;
  };
  expect((await anywhere()).length).toBeGreaterThan(5);
  const before = (await interviews.notesOf(w.projectId)).length;
  await ok(eraseStudent, boss, { projectId: w.projectId, personId: me, confirm: name });
  expect(await anywhere()).toEqual([]);
  const [notes, entries, own] = [
    await interviews.notesOf(w.projectId),
    await notebook.entriesOf(w.projectId, me),
    await db()`
      SELECT
      FROM wish
      WHERE person_id = ${me}
      UNION ALL
      SELECT
      FROM trait
      WHERE person_id = ${me}
      UNION ALL
      SELECT
      FROM tool_sign_off
      WHERE person_id = ${me}
    `,
  ];
  expect([notes.length, notes.some((n) => n.author === "erased student"), entries.length, own.length]).toEqual([
    before,
    true,
    0,
    0,
  ]);
});
