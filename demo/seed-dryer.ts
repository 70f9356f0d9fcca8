import type { Actor } from "@/core/access/can";
import { addDays } from "@/core/sessions/date";
import { saveBrief } from "@/stages/brief/commands";
import { saveBuild } from "@/stages/builds/commands/builds";
import { saveRequirement } from "@/stages/needs/commands/requirements";
import { createGuestLink } from "@/stages/people/commands/guests";
import { guestLinksOf } from "@/stages/people/queries/guests";
import { createProject } from "@/stages/plan/commands/projects";
import { finishProject } from "@/stages/records/commands/editions";
import { addAction, closeAction } from "@/stages/reviews/commands/actions";
import { demonstrate } from "@/stages/reviews/commands/demonstrating";
import { decideReview, submitSheet } from "@/stages/reviews/commands/marking";
import { planReviews } from "@/stages/reviews/commands/planning";
import { reviewsOf } from "@/stages/reviews/queries/reviews";
import { createTeam, moveStudent } from "@/stages/teams/commands/teams";
import { requirement, roster } from "./helpers";
import { at, fresh, run } from "./run";

const client = "Ottoline Brack, seed keeper";

/** What the client wished for, and what she found of it with each team's device: in a word, where she had one. */
const wishes: readonly (readonly [string, string, ...(readonly [string, string])[]])[] = [
  ["I can load it alone", "must", ["met", "one hand is enough"], ["met", ""]],
  ["The trays come out without a tool", "must", ["partly", "the lowest one sticks"], ["met", ""]],
  [
    "I see from the door whether it is dry",
    "should",
    ["not met", "the dial faces the wall"],
    ["met", "the flag is plain"],
  ],
  ["It can be wiped clean", "could", ["met", ""], ["partly", "the mesh keeps the husks"]],
];
const teams = [
  { name: "Husk", members: ["Ansel Roth", "Bronwen Sykes", "Cyprian Ndiaye"] },
  { name: "Tray", members: ["Dagny Moe", "Ezra Lindqvist", "Fenna de Wit"] },
];

/** Last year's capstone for a client, which ended with a demonstration: two teams, four wishes, no contest. */
export async function seedDryer(owner: string, start: string): Promise<void> {
  await at(addDays(start, -2));
  const { projectId, sectionIds } = await run(createProject, owner, {
    title: "Seed Dryer",
    purpose: "Dry bean seed evenly in a shed without mains power",
    kind: "client",
    client,
    currency: "cr",
    startsOn: start,
    endsOn: addDays(start, 95),
    eventOn: addDays(start, 90),
    sections: [{ name: "Capstone", days: [2, 5] }],
  });
  fresh();
  await run(saveBrief, owner, {
    projectId,
    baseNumber: 0,
    body:
      "## Need\n\nA seed keeper dries beans in a shed without mains power. She works alone.\n\n## Safety\n\n" +
      "Cutting mesh: gloves and eye protection, in the workshop only.\n",
  });
  const ids = await roster(
    projectId,
    owner,
    teams.flatMap((t) => t.members.map((name) => ({ name, section: "Capstone" }))),
  );
  const asked: string[] = [];
  for (const [statement, priority] of wishes) {
    const kind = priority === "must" ? "constraint" : "criterion";
    const wish = requirement(projectId, statement, priority, kind, "", "yes", "", "", "demonstration", client);
    asked.push((await run(saveRequirement, owner, wish)).id);
  }
  const teamIds: string[] = [];
  for (const t of teams) {
    const { id } = await run(createTeam, owner, { projectId, name: t.name, sectionId: sectionIds[0] });
    teamIds.push(id);
    for (const n of t.members) await run(moveStudent, owner, { projectId, personId: ids.get(n), teamId: id });
  }
  fresh();
  for (const [g, whatChanged] of ["Frame of slats, three trays", "Flag on the moisture cord, trays on rails"].entries())
    for (const [i, teamId] of teamIds.entries()) {
      await at(addDays(start, 40 + 25 * g), 11, i * 9);
      await run(saveBuild, ids.get(teams[i]!.members[0]!)!, {
        teamId,
        stage: g ? "final" : "prototype",
        builtOn: addDays(start, 40 + 25 * g),
        whatChanged,
      });
    }
  const heldOn = addDays(start, 88);
  await at(addDays(start, 80), 9);
  const title = "Client demonstration";
  await run(planReviews, owner, {
    projectId,
    kind: "demonstration",
    title,
    heldOn,
    takesPart: `${client}, the instructor, the team`,
    teamIds,
  });
  await run(createGuestLink, owner, { projectId, role: "client", label: client, days: 120 });
  const link = (await guestLinksOf(projectId)).find((g) => g.label === client)!;
  const guest: Actor = { kind: "guest", id: link.id, name: client, role: "client", project: projectId };
  for (const [i, r] of (await reviewsOf(projectId)).entries()) {
    await at(heldOn, 10, i * 30);
    await run(demonstrate, guest, {
      reviewId: r.id,
      who: client,
      wishes: wishes.map(([, , ...found], k) => {
        const [outcome, word] = found[i]!;
        return { requirementId: asked[k], outcome, word };
      }),
    });
    await run(submitSheet, owner, {
      reviewId: r.id,
      raterName: "Instructor",
      comment: "",
      marks: r.definition.criteria.map((c) => ({ criterion: c.key, points: i ? "3" : "2", comment: "" })),
    });
    await run(decideReview, owner, { id: r.id, version: 1, verdict: i ? "go on" : "go on with fixes", note: "" });
    if (i) continue;
    const { id } = await run(addAction, owner, {
      reviewId: r.id,
      what: "Turn the dial to the door before it is handed over",
      dueOn: addDays(heldOn, 4),
    });
    await at(addDays(heldOn, 3), 15);
    await run(closeAction, owner, { id, version: 1, evidence: "Turned and fixed with two screws; seen by the client" });
  }
  await at(addDays(heldOn, 5), 12);
  await run(finishProject, owner, { projectId });
}
