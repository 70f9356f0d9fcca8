// What the world of a test has of records: a kept model that is lent, a build guide with two steps, an award.
import { randomUUID } from "node:crypto";
import type { Actor } from "@/core/access/can";
import { lendArtefact, saveArtefact } from "@/stages/records/commands/artefacts";
import { saveGuide, saveGuideStep } from "@/stages/records/commands/guides";
import { saveHonour } from "@/stages/records/commands/honours";
import { ok } from "./database";

/** An award of the class's own. */
export const award = {
  title: "Bravest design",
  says: "A pump without a piston",
  engraved: "2027 · A · Bravest design",
};

/** A record of the world's project, of a build of one of its teams. */
export async function aRecord(
  boss: Actor,
  { projectId, team, build }: { projectId: string; team: string; build: string },
) {
  const [model, loan, guide, step, second, honour] = Array.from({ length: 6 }, () => randomUUID()) as [
    string,
    string,
    string,
    string,
    string,
    string,
  ];
  await ok(saveArtefact, boss, { projectId, id: model, buildId: build, name: "Pump A", place: "Shelf 1" });
  await ok(lendArtefact, boss, { id: loan, artefactId: model, lentTo: "Section 9", dueOn: "2027-04-01" });
  await ok(saveGuide, boss, { id: guide, buildId: build, title: "Pump A again" });
  await ok(saveGuideStep, boss, { id: step, guideId: guide, what: "Cut the tube", at: "0 × 0 × 0 mm" });
  await ok(saveGuideStep, boss, { id: second, guideId: guide, what: "Glue the foot", caution: "Hot glue burns." });
  await ok(saveHonour, boss, { ...award, id: honour, projectId, teamId: team, givenOn: "2027-03-02" });
  return { model, loan, guide, step, second, honour };
}
