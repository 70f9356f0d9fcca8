import { randomUUID } from "node:crypto";
import { answerAppeal, fileAppeal } from "@/stages/grades/commands/appeals";
import { extendDeadline } from "@/stages/grades/commands/extensions";
import { enterMarks } from "@/stages/grades/commands/marks";
import { openPeerRound, ratePeers, setPeerRound } from "@/stages/grades/commands/peers";
import { publishGrades } from "@/stages/grades/commands/publish";
import { saveScheme } from "@/stages/grades/commands/scheme";
import { publicationsOf } from "@/stages/grades/queries/publications";
import { scheme } from "./helpers";
import { run } from "./run";

export interface GradedTeam {
  readonly name: string;
  /** Ids of the members, in the story's order. */
  readonly members: readonly string[];
}

/** What a member is rated by the others, 1 to 5, by the place in the team; some raters are milder. */
const usual = (rater: number, ratee: number, team: number) => {
  const liked = (team + 2 * rater + ratee) % 3 === 0 ? 1 : 0;
  const missed = (rater + 3 * ratee + team) % 4 === 0 ? 1 : 0;
  return Math.min(5, Math.max(1, [4, 4, 4, 3][ratee]! + liked - missed));
};
/** Ratings that are told: a member rated low by both others, two who praise each other, one who rates all alike. */
const told: Readonly<Record<string, (rater: number, ratee: number) => number>> = {
  Downpour: (rater, ratee) => (ratee === 2 ? 2 : rater === 2 ? 5 - ratee : 4),
  Alder: (rater, ratee) => (rater + ratee === 1 ? 5 : [3, 4, 4, 3][ratee]! + (rater === 3 && ratee === 2 ? 1 : 0)),
  Gully: (rater, ratee) => (rater === 2 ? 4 : usual(rater, ratee, 6)),
};

/** Students rate their teams; two forget it. */
async function ratings(owner: string, projectId: string, teams: readonly GradedTeam[]): Promise<string> {
  const { id } = await run(openPeerRound, owner, { projectId, title: "After the prototype", method: "ratings" });
  for (const [t, team] of teams.entries())
    for (const [i, rater] of team.members.entries()) {
      if (t % 4 === 1 && i === team.members.length - 1) continue;
      const value = (j: number) => told[team.name]?.(i, j) ?? usual(i, j, t);
      const comment = (j: number) => (team.name === "Downpour" && j === 2 ? "Came late a lot." : "");
      await run(ratePeers, rater, {
        roundId: id,
        ratings: team.members.flatMap((ratee, j) =>
          ratee === rater ? [] : [{ ratee, value: String(value(j)), comment: comment(j) }],
        ),
      });
    }
  await run(setPeerRound, owner, { id, version: 1, open: false });
  return id;
}

const late = { perSession: "10", grace: 1, floor: "50" };

/** The scheme since week 7: two thirds for the team, times the peer factor, and each one's own work. */
function asATree(measure: object, drawing: string, round: string) {
  const [review, performance, milestone, notebook] = scheme("First review", measure, drawing, "20");
  return {
    decimals: 1,
    most: "100",
    peers: { round, low: "0.85", high: "1.10" },
    letters: ["A 90", "B 80", "C 70", "D 60"].map((l) => ({ letter: l[0]!, from: l.slice(2) })),
    components: [
      { depth: 0, key: "team", name: "Team", weight: "66", peer: true },
      { ...review, depth: 1, weight: "2" },
      { ...performance, depth: 1, weight: "2" },
      { depth: 1, key: "coverage", name: "Requirements met", weight: "1", source: { kind: "coverage" } },
      { depth: 0, key: "own", name: "Own work", weight: "34" },
      { ...notebook, depth: 1, weight: "2", late },
      { ...milestone, depth: 1, weight: "1", late },
      {
        depth: 1,
        key: "answers",
        name: "Answers at the test review",
        weight: "1",
        source: { kind: "individual", review: "Test review" },
      },
    ],
  };
}

/**
 * How Terrace Pump is graded: first flat, published once; then as a tree with peers and late rules, published again;
 * with an extension, one answered and one open appeal.
 */
export async function gradeTerrace(
  owner: string,
  projectId: string,
  of: { readonly teams: readonly GradedTeam[]; readonly measure: object; readonly drawing: string },
): Promise<void> {
  const all = of.teams.flatMap((t) => t.members);
  const lead = (name: string) => of.teams.find((t) => t.name === name)!.members[0]!;
  // Every ninth student had no mark before.
  const seen = (personId: string) => (all.indexOf(personId) % 9 === 4 ? 0 : 1);
  await run(publishGrades, owner, { projectId });
  const [first] = await publicationsOf(projectId);
  const appeal = randomUUID();
  await run(fileAppeal, lead("Downpour"), {
    id: appeal,
    publicationId: first!.id,
    component: "notebook",
    words: "Two of my entries were written on paper when the network was away. I can show them.",
  });
  const round = await ratings(owner, projectId, of.teams);
  await run(saveScheme, owner, {
    projectId,
    baseNumber: 1,
    why: "two thirds for the team, as the brief says; what each one did counts beside it",
    ...asATree(of.measure, of.drawing, round),
  });
  const again = all.flatMap((personId, i) =>
    i % 11 === 7 ? [{ personId, component: "notebook", version: seen(personId), typed: "18 late 3" }] : [],
  );
  const greta = lead("Downpour");
  const typed = "16 two entries on paper";
  const raised = { personId: greta, component: "notebook", version: seen(greta), typed };
  await run(enterMarks, owner, { projectId, marks: [...again, raised] });
  await run(extendDeadline, owner, {
    projectId,
    personId: again[0]!.personId,
    component: "notebook",
    version: 0,
    sessions: 1,
    reason: "away with the orchestra for one class",
  });
  await run(answerAppeal, owner, {
    id: appeal,
    version: 1,
    outcome: "changed",
    answer: "I have read them: the notebook is raised to 16 of 20.",
  });
  await run(publishGrades, owner, { projectId, whatChanged: "scheme version 2, late notebooks, one appeal answered" });
  const [second] = await publicationsOf(projectId);
  await run(fileAppeal, lead("Alder"), {
    id: randomUUID(),
    publicationId: second!.id,
    component: "performance",
    words: "Our newest build was tested with the old valve on Monday. Does that run count?",
  });
}
