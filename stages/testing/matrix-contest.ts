import { randomUUID } from "node:crypto";
import type { Line, Role } from "./role";

const staff: Role[] = ["owner", "co"];
const scoring: Role[] = ["owner", "co", "judge", "scorer"];

/** The commands of the contest, for the matrix of permissions. */
export const contest: Record<string, Line> = {
  saveEvent: {
    may: staff,
    input: (w) => ({
      projectId: w.projectId,
      name: "E2",
      protocolId: w.protocol,
      channel: "Q",
      better: "more",
      school: "best",
      n: 3,
      foul: "out",
      ranking: "competition",
      ties: "digits",
      seed: "1",
    }),
  },
  refreshEntries: { may: staff, input: (w) => ({ id: w.event }) },
  drawRunOrder: { may: staff, input: (w) => ({ id: w.event, version: 1, seed: "7" }) },
  confirmEvent: { may: staff, input: (w) => ({ id: w.event, version: 1 }) },
  reopenEvent: { may: staff, input: (w) => ({ id: w.event, version: 1, reason: "x" }) },
  inspectBuild: {
    may: [...staff, "judge"],
    input: (w) => ({ id: randomUUID(), buildId: w.build, after: 0, outcome: "passed", waiver: "x" }),
  },
  releaseBuild: {
    may: [...staff, "judge"],
    input: (w) => ({ id: randomUUID(), buildId: w.build, after: 1, reason: "x" }),
  },
  saveAllowedPart: { may: staff, input: (w) => ({ projectId: w.projectId, name: "Elbow", most: 8 }) },
  withdrawInspection: { may: [], input: () => ({ id: randomUUID(), reason: "x" }) },
  withdrawAllowedPart: { may: [], input: () => ({ id: randomUUID() }) },
  scoreAttempt: { may: scoring, input: (w) => ({ id: randomUUID(), entryId: w.entry, state: "foul" }) },
  saveProgramme: {
    may: staff,
    input: (w) => ({ id: w.event, version: 1, starts: "9:30", lanes: 2, minutes: "6", repair: 10 }),
  },
  settleAttempt: { may: [], input: () => ({ id: randomUUID(), version: 1, keep: "first" }) },
  voidAttempt: { may: [], input: () => ({ id: randomUUID(), version: 1, reason: "x" }) },
  saveMatchEvent: {
    may: staff,
    input: (w) => ({ projectId: w.projectId, name: "Tank race", format: "single", decides: "call" }),
  },
  seedByEvent: { may: staff, input: (w) => ({ id: w.race, version: 3, from: w.event }) },
  seedByHand: { may: staff, input: (w) => ({ id: w.race, version: 3, entries: w.racers }) },
  drawRound: { may: staff, input: (w) => ({ id: w.race, version: 3, seed: "7" }) },
  recordMatch: {
    may: scoring,
    input: (w) => ({
      id: randomUUID(),
      eventId: w.race,
      slot: "F1",
      a: w.racers[0],
      b: w.racers[1],
      outcome: "walkover",
      winner: "a",
    }),
  },
  saveJudgedEvent: {
    may: staff,
    input: (w) => ({
      projectId: w.projectId,
      name: "Poster",
      criteria: [{ name: "Clarity", weight: "1" }],
      most: 5,
      method: "mean",
      tie: "shared",
    }),
  },
  markSheet: {
    may: [...staff, "judge"],
    input: (w) => ({ id: randomUUID(), entryId: w.shown[1], after: 0, marks: { use: "4" } }),
  },
  asideSheet: { may: staff, input: (w) => ({ id: w.sheet, version: 1, aside: true, reason: "x" }) },
  recordRunOff: { may: staff, input: (w) => ({ id: w.event, version: 1, tied: [w.entry], reason: "x" }) },
  startRehearsal: { may: staff, input: (w) => ({ projectId: w.projectId }) },
  simulateResults: { may: staff, input: (w) => ({ id: w.event, seed: "7", all: true }) },
  wipeRehearsal: { may: staff, input: (w) => ({ projectId: w.projectId }) },
  callInHall: {
    may: [...staff, "judge"],
    input: (w) => ({ projectId: w.projectId, id: randomUUID(), words: "Alder, please come" }),
  },
  endCall: { may: [], input: () => ({ id: randomUUID() }) },
  copyEvents: { may: staff, input: (w) => ({ projectId: w.projectId, ids: [w.event] }) },
  tickRules: { may: staff, input: (w) => ({ id: w.event, version: 1 }) },
  saveAwards: { may: staff, input: (w) => ({ projectId: w.projectId, given: ["champion", "improved"] }) },
  openVote: { may: staff, input: (w) => ({ projectId: w.projectId }) },
  closeVote: { may: staff, input: (w) => ({ id: w.ballot, version: 1 }) },
  withdrawBallot: { may: staff, input: (w) => ({ id: w.ballot, reason: "x" }) },
  checkEvent: { may: [...staff, "judge"], input: (w) => ({ id: w.event, cautions: [], signed: "x" }) },
  haltEvent: { may: scoring, input: (w) => ({ id: randomUUID(), eventId: w.event, reason: "x" }) },
  liftHalt: { may: [], input: () => ({ id: randomUUID(), note: "x" }) },
  saveBoard: { may: staff, input: (w) => ({ projectId: w.projectId, name: "Gym" }) },
  showOnBoard: { may: staff, input: (w) => ({ id: w.board, shows: "overall" }) },
  revealAward: { may: staff, input: (w) => ({ id: w.board, count: 1 }) },
  withdrawBoard: { may: staff, input: (w) => ({ id: w.board }) },
  saveOverall: {
    may: staff,
    input: (w) => ({ projectId: w.projectId, method: "places", weights: [{ id: w.event, weight: "2" }], reason: "x" }),
  },
  withdrawMatch: { may: staff, input: (w) => ({ id: w.match, reason: "It was another day" }) },
};
