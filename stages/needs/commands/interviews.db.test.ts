import { randomUUID } from "node:crypto";
import type { Actor } from "@/core/access/can";
import { ok, refused } from "@/stages/testing/database";
import { openClass } from "@/stages/testing/school";
import type { World } from "@/stages/testing/world";
import { notesOf, sourcesOf } from "../queries/notes";
import { clientQuestions, questionsOf } from "../queries/questions";
import { lookOver, statementsOf } from "../queries/statements";
import { closeSource, writeNote } from "./notes";
import { answerQuestion, mergeQuestions } from "./questions";
import { askClient, mergeStatements, tellApart, unmergeStatement } from "./statements";

let done: () => Promise<void>;
let boss: Actor;
let mate: Actor;
let other: Actor;
let client: Actor;
let w: World;

beforeAll(async () => {
  ({ done, boss, mate, other, client, w } = await openClass());
});
afterAll(() => done());

describe("interviews", () => {
  test(
    "a note sent twice is one; one written before the session was closed still arrives, one after is " + "refused",
    async () => {
      const id = randomUUID();
      const writtenAt = new Date().toISOString();
      await ok(writeNote, mate, { id, sourceId: w.source, text: "ten minutes a bed" });
      await ok(writeNote, mate, { id, sourceId: w.source, text: "ten minutes a bed" });
      expect((await refused(writeNote, mate, { id, sourceId: w.source, text: "another text" })).message).toContain(
        "saved already",
      );
      await ok(closeSource, boss, { id: w.source, closed: true });
      await ok(writeNote, other, {
        id: randomUUID(),
        sourceId: w.source,
        text: "late, from the cellar",
        writtenAt,
      });
      expect(
        (await refused(writeNote, other, { id: randomUUID(), sourceId: w.source, text: "after" })).message,
      ).toContain("closed");
      expect((await notesOf(w.projectId, w.source)).map((n) => n.text).sort()).toEqual([
        "I carry it up the steps.",
        "late, from the cellar",
        "ten minutes a bed",
      ]);
    },
  );
  test("drafts merged into a question keep who drafted them and bring their notes", async () => {
    await ok(mergeQuestions, boss, { projectId: w.projectId, into: w.question2, from: [w.question] });
    const all = await questionsOf(w.projectId);
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
        (await lookOver(w.projectId, await statementsOf(w.projectId))).groups.map((g) => g.members.map((m) => m.id));
      expect(await groups()).toEqual([[w.statement, w.statement2]]);
      await ok(mergeStatements, mate, { projectId: w.projectId, into: w.statement, from: [w.statement2] });
      expect(await groups()).toEqual([]);
      await ok(unmergeStatement, mate, { id: w.statement2 });
      await ok(tellApart, mate, { projectId: w.projectId, a: w.statement2, b: w.statement });
      expect(await groups()).toEqual([]);
    },
  );
  test("an open question is on the client's page; its answer is a source and joins the statement", async () => {
    const { id } = await ok(askClient, boss, { statementId: w.statement, text: "How many steps?" });
    expect((await clientQuestions(w.projectId)).map((q) => [q.text, q.forClient])).toEqual([["How many steps?", true]]);
    await ok(answerQuestion, client, { questionId: id, text: "Nine." });
    expect((await refused(answerQuestion, client, { questionId: id, text: "Ten." })).message).toContain("already");
    expect((await sourcesOf(w.projectId)).find((s) => s.kind === "answer")).toMatchObject({
      who: "Odile",
      notes: 1,
    });
    expect((await statementsOf(w.projectId)).find((s) => s.id === w.statement)!.notes.map((n) => n.text)).toContain(
      "Nine.",
    );
  });
});
