import type { Actor } from "@/core/access/can";
import { saveSettings } from "@/platform/project/save-settings";
import { requirementsOf } from "@/stages/needs/queries/requirements";
import { ok, refused } from "@/stages/testing/database";
import { openClass } from "@/stages/testing/school";
import type { World } from "@/stages/testing/world";
import { conceptsOf, fatesOf } from "../queries/concepts";
import { selectionsOf } from "../queries/selection";
import { mustsOf, screen } from "../view/concepts";
import { outcomeOf, pairwiseOf } from "../view/selection";
import { claimMust, decideConcept, mergeConcepts, saveConcept } from "./concepts";
import { closeSelection, openSelection, rateConcepts, reopenSelection, weighSelection } from "./selection";

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

describe("concepts and their choice", () => {
  test("a student sees only the own ones until all are opened; so does the client", async () => {
    const { id } = await ok(saveConcept, mate, {
      projectId: w.projectId,
      title: "Swing tube",
      mass: "4.2 kg",
      dimensions: "bore = 40 mm\nlength: 2.4 m",
    });
    const seen = async (a: Actor) => (await conceptsOf(w.projectId, a)).map((k) => k.title);
    expect([await seen(mate), await seen(other), await seen(client)]).toEqual([["Swing tube"], [], []]);
    expect(
      (await refused(saveConcept, mate, { projectId: w.projectId, title: "X", dimensions: "bore 40" })).message,
    ).toContain("bore = 40 mm");
    await ok(claimMust, mate, {
      conceptId: id,
      requirementId: w.flow,
      says: "yes",
      how: "swing",
      estimate: "6 L/min",
    });
    const k = (await conceptsOf(w.projectId, mate))[0]!;
    expect(screen(mustsOf(await requirementsOf(w.projectId)), k).map((s) => [s.must.code, s.status.value])).toEqual([
      ["R-01", "not met"],
      ["R-02", "met"],
      ["R-03", "untested"],
    ]);
    await ok(saveSettings, boss, { projectId: w.projectId, conceptsOpen: true });
    expect([(await seen(other)).length, (await seen(client)).length]).toEqual([3, 3]);
  });
  test("a merged concept keeps both parents, and they stay on record", async () => {
    const { id } = await ok(mergeConcepts, boss, {
      projectId: w.projectId,
      title: "Both",
      parents: [w.concept, w.concept2],
      reason: "each has half",
    });
    const all = await conceptsOf(w.projectId, boss);
    expect(all.find((k) => k.id === id)!.parents.map((x) => x.title)).toEqual(["Bellows", "Piston"]);
    expect((await fatesOf(w.concept)).map((f) => [f.fate, f.reason])).toEqual([
      ["merged", "each has half (into Both)"],
    ]);
    expect(
      (
        await refused(mergeConcepts, boss, {
          projectId: w.projectId,
          title: "Again",
          parents: [w.concept, id],
          reason: "x",
        })
      ).message,
    ).toContain("already");
  });
  test("who rates depends on the method; sheets are checked; closing gives each its fate and reason", async () => {
    const two = (await conceptsOf(w.projectId, boss)).filter((k) => k.fate === "open").map((k) => k.id);
    const { id } = await ok(openSelection, boss, {
      projectId: w.projectId,
      title: "Client's choice",
      school: "client",
      conceptIds: two,
      keep: 1,
    });
    expect((await refused(rateConcepts, mate, { selectionId: id, marks: { chosen: [two[0]] } })).message).toContain(
      "client chooses",
    );
    expect(
      (await refused(rateConcepts, client, { selectionId: id, marks: { chosen: [two[0]], reasons: {} } })).message,
    ).toContain("why you choose");
    expect(
      (await refused(rateConcepts, client, { selectionId: id, marks: { chosen: two, reasons: {} } })).message,
    ).toContain("At most 1");
    await ok(rateConcepts, client, {
      selectionId: id,
      marks: { chosen: [two[1]], reasons: { [two[1]!]: "I can mend it" } },
    });
    expect((await refused(closeSelection, boss, { id, version: 1, going: two })).message).toContain(
      "1 of 2 go on; 2 are chosen",
    );
    await ok(closeSelection, boss, { id, version: 1, going: [two[1]] });
    const after = await conceptsOf(w.projectId, boss);
    expect([after.find((k) => k.id === two[1])!.fateReason, after.find((k) => k.id === two[0])!.fate]).toEqual([
      "Odile: I can mend it",
      "set aside",
    ]);
    expect(
      (await refused(claimMust, mate, { conceptId: two[0], requirementId: w.flow, says: "no" })).message,
    ).toContain("decided");
    // Opened again, what it decided is open again, but for what somebody has decided otherwise since.
    const other = after.find((k) => k.id === two[0])!;
    await ok(decideConcept, boss, { id: other.id, version: other.version, fate: "goes on", reason: "Second thoughts" });
    await ok(reopenSelection, boss, { id });
    const open = await conceptsOf(w.projectId, boss);
    expect(two.map((k) => open.find((x) => x.id === k)!.fate)).toEqual(["goes on", "open"]);
    expect((await fatesOf(two[1]!)).map((f) => f.fate)).toEqual(["goes on", "open"]);
  });
  test("without a sheet the result is no reason; one is written for each concept", async () => {
    const made = async (title: string) => (await ok(saveConcept, boss, { projectId: w.projectId, title })).id;
    const two = [await made("Siphon"), await made("Screw")];
    const { id } = await ok(openSelection, boss, {
      projectId: w.projectId,
      title: "Class vote",
      school: "vote",
      conceptIds: two,
      keep: 1,
    });
    const close = { id, version: 1, going: [two[0]] };
    expect((await refused(closeSelection, boss, close)).message).toContain("No sheet is in");
    await ok(rateConcepts, mate, { selectionId: id, marks: { chosen: [two[0]] } });
    await ok(closeSelection, boss, close);
    expect((await conceptsOf(w.projectId, boss)).filter((k) => two.includes(k.id)).map((k) => k.fateReason)).toEqual(
      expect.arrayContaining(["Class vote: 1 vote, place 1 of 2", "Class vote: 0 votes, place 2 of 2"]),
    );
  });
  test(
    "a panel's totals, the agreement and what flips the winner come from its sheets; weights from pairs " + "are kept",
    async () => {
      const [a, b] = [w.concept, w.concept2];
      const { id } = await ok(openSelection, boss, {
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
      await ok(rateConcepts, boss, { selectionId: id, marks: { [a]: { x: 8, y: 4 }, [b]: { x: 5, y: 6 } } });
      await ok(rateConcepts, client, {
        selectionId: id,
        marks: { [a]: { x: 7, y: 3 }, [b]: { x: 4, y: 5 } },
      });
      expect((await refused(rateConcepts, client, { selectionId: id, marks: { [a]: { x: 11 } } })).message).toContain(
        "0 to 10",
      );
      const x = (await selectionsOf(w.projectId)).find((y) => y.id === id)!;
      const o = outcomeOf(x);
      expect(o.rows.map((r) => [r.title, r.shown])).toEqual([
        ["Piston", "5.50"],
        ["Bellows", "5.00"],
      ]);
      expect([o.agreement, o.raters!.raters.map((r) => r.severity!.toFixed(1)), o.flips[0]!.at!.toFixed(2)]).toEqual([
        1,
        ["0.5", "-0.5"],
        "0.40",
      ]);
      const weights = { id, version: 1, weights: [0.2, 0.8], pairs: { "0/1": 0.25 } };
      expect((await refused(weighSelection, boss, weights)).message).toContain("say why the weights change");
      await ok(weighSelection, boss, { ...weights, reason: "Cost matters more" });
      const later = (await selectionsOf(w.projectId)).find((y) => y.id === id)!;
      expect([outcomeOf(later).rows[0]!.title, pairwiseOf(later.definition)!.weights.map((v) => v.toFixed(1))]).toEqual(
        ["Bellows", ["0.2", "0.8"]],
      );
      expect(later.definition.reweighed).toMatchObject([{ before: [1, 1], sheets: 2, reason: "Cost matters more" }]);
    },
  );
});
