import { randomUUID } from "node:crypto";
import { packed } from "@/stages/bench/view/samples";
import { definition } from "./definition";
import { rubric, type World } from "./world";

export type Role =
  | "owner"
  | "co"
  | "teammate"
  | "other team"
  | "stranger"
  | "outside instructor"
  | "client"
  | "reviewer"
  | "judge"
  | "scorer"
  | "board"
  | "nobody";

export const roles: Role[] = [
  "owner",
  "co",
  "teammate",
  "other team",
  "stranger",
  "outside instructor",
  "client",
  "reviewer",
  "judge",
  "scorer",
  "board",
  "nobody",
];

const staff: Role[] = ["owner", "co"];

const own: Role[] = ["owner", "co", "teammate"];

const members: Role[] = ["owner", "co", "teammate", "other team"];

/** Whoever is signed in, on what is their own. */
const persons: Role[] = [...members, "stranger", "outside instructor"];

const scoring: Role[] = ["owner", "co", "judge", "scorer"];

// For every command: a fitting input on a world, and who may do it there. Written beside, not derived from, the rules.
export const table: Record<string, { input: (w: World) => object; may: Role[] }> = {
  createProject: {
    may: ["owner", "co", "outside instructor"],
    input: () => ({
      title: "Another",
      kind: "client",
      startsOn: "2027-01-18",
      endsOn: "2027-03-26",
      sections: [{ name: "3", days: [1] }],
    }),
  },
  editProject: {
    may: staff,
    input: (w) => ({
      projectId: w.projectId,
      version: 1,
      title: "T",
      kind: "both",
      startsOn: "2027-01-18",
      endsOn: "2027-03-26",
    }),
  },
  createSection: { may: staff, input: (w) => ({ projectId: w.projectId, name: "9", days: [1] }) },
  addDaysOffToProject: { may: staff, input: (w) => ({ projectId: w.projectId, text: "2027-02-16" }) },
  removeDayOff: { may: staff, input: (w) => ({ id: w.off }) },
  saveMilestone: { may: staff, input: (w) => ({ projectId: w.projectId, title: "X", dueOn: "2027-03-01" }) },
  removeMilestone: { may: staff, input: (w) => ({ id: w.spare }) },
  checkMilestone: { may: staff, input: (w) => ({ milestoneId: w.milestone, teamId: w.a, doneOn: "2027-02-01" }) },
  saveBrief: { may: staff, input: (w) => ({ projectId: w.projectId, baseNumber: 1, body: "new", whatChanged: "x" }) },
  acknowledgeBrief: {
    may: ["teammate", "other team"],
    input: (w) => ({ projectId: w.projectId, briefVersionId: randomUUID() }),
  },
  finishProject: { may: ["owner"], input: (w) => ({ projectId: w.projectId }) },
  reopenProject: { may: ["owner"], input: (w) => ({ projectId: w.projectId, reason: "A run is missing" }) },
  createEdition: {
    may: ["owner"],
    input: (w) => ({ projectId: w.projectId, title: "Next", startsOn: "2028-01-18", endsOn: "2028-03-26" }),
  },
  saveRequirement: {
    may: staff,
    input: (w) => ({ projectId: w.projectId, statement: "S", kind: "constraint", priority: "could" }),
  },
  retireRequirement: { may: staff, input: (w) => ({ id: w.mass, version: 1, reason: "gone" }) },
  restoreRequirement: { may: staff, input: (w) => ({ id: w.mass }) },
  recordFinding: { may: staff, input: (w) => ({ requirementId: w.seen, buildId: w.build, outcome: "met" }) },
  keepEvidence: { may: staff, input: (w) => ({ requirementId: w.flow, buildId: w.build, reason: "same" }) },
  changeRequirements: {
    may: staff,
    input: (w) => ({ projectId: w.projectId, ids: [w.mass, w.seen], change: "priority", priority: "should" }),
  },
  keepHolding: { may: staff, input: (w) => ({ requirementId: w.flow, reason: "looser" }) },
  createTeam: { may: staff, input: (w) => ({ projectId: w.projectId, name: "New" }) },
  renameTeam: { may: staff, input: (w) => ({ id: w.a, version: 1, name: "Aspen" }) },
  retireTeam: { may: staff, input: (w) => ({ id: w.a }) },
  moveStudent: { may: staff, input: (w) => ({ projectId: w.projectId, personId: w.students[2]!, teamId: w.a }) },
  drawTeams: {
    may: staff,
    input: (w) => ({ projectId: w.projectId, sectionId: w.section, min: 1, max: 2, seed: "1" }),
  },
  saveConcept: {
    may: ["owner", "co", "teammate", "other team"],
    input: (w) => ({ projectId: w.projectId, title: "Mine" }),
  },
  decideConcept: { may: staff, input: (w) => ({ id: w.concept, version: 1, fate: "goes on", reason: "client" }) },
  saveBuild: { may: own, input: (w) => ({ teamId: w.a, stage: "mock-up", builtOn: "2027-02-21", whatChanged: "x" }) },
  addPhoto: { may: own, input: (w) => ({ buildId: w.build, base64: "AAAA" }) },
  saveFailure: {
    may: own,
    input: (w) => ({ buildId: w.build, mode: "The lever split", severity: "stop", cause: "joint" }),
  },
  closeFailure: { may: own, input: (w) => ({ id: w.failure, version: 1 }) },
  withdrawFailure: { may: own, input: (w) => ({ id: w.failure }) },
  savePartLine: { may: own, input: (w) => ({ buildId: w.build, name: "Lever", count: 1, mass: "0.2 lb" }) },
  copyPartLines: { may: own, input: (w) => ({ buildId: w.build, fromId: w.otherBuild }) },
  withdrawPartLine: { may: own, input: (w) => ({ id: w.partLine }) },
  putAside: {
    may: staff,
    input: (w) => ({ teamId: w.a, kind: "stale", size: 1, reason: "1 must rests on stale evidence", note: "Seen" }),
  },
  withdrawAside: { may: staff, input: (w) => ({ id: w.aside }) },
  savePiece: { may: own, input: (w) => ({ buildId: w.build, name: "Side 2", nominal: "12 in", chain: "length" }) },
  markPiece: { may: own, input: (w) => ({ id: w.piece, step: "checked", on: true }) },
  releasePiece: { may: staff, input: (w) => ({ id: w.piece, on: false }) },
  listPieces: { may: own, input: (w) => ({ buildId: w.build }) },
  copyPieces: { may: own, input: (w) => ({ buildId: w.build, fromId: w.otherBuild }) },
  withdrawPiece: { may: own, input: (w) => ({ id: w.piece }) },
  removePhoto: { may: [], input: () => ({ id: randomUUID() }) },
  saveProtocol: { may: staff, input: (w) => ({ projectId: w.projectId, name: "P2", definition }) },
  recordRun: {
    may: own,
    input: (w) => ({ id: randomUUID(), buildId: w.build, protocolVersionId: w.versionId, readings: { m: "8" } }),
  },
  checkSafety: {
    may: own,
    input: (w) => ({ projectId: w.projectId, protocolId: w.protocol, teamId: w.a, cautions: definition.safety }),
  },
  noteRun: { may: own, input: (w) => ({ id: w.run, version: 1, note: "The hose slipped" }) },
  addRunPhoto: { may: own, input: (w) => ({ runId: w.run, base64: "AAAA" }) },
  removeRunPhoto: { may: [], input: () => ({ id: randomUUID() }) },
  openSeries: {
    may: own,
    input: (w) => ({
      id: randomUUID(),
      buildId: w.build,
      protocolVersionId: w.versionId,
      key: "m",
      source: "scale.csv",
    }),
  },
  addBlocks: {
    may: own,
    input: (w) => ({ seriesId: w.series, blocks: [{ number: 1, samples: packed([9], [4]) }] }),
  },
  chooseSeriesPart: { may: own, input: (w) => ({ id: w.series, version: 1, from: 0, to: 1, reason: "Steady" }) },
  withdrawSeries: { may: own, input: (w) => ({ id: w.series }) },
  withdrawSafetyCheck: { may: staff, input: (w) => ({ id: w.safetyCheck }) },
  correctRun: { may: own, input: (w) => ({ id: w.run, version: 1, readings: { m: "8" }, reason: "typo" }) },
  voidRun: { may: staff, input: (w) => ({ id: w.run, version: 1, reason: "slipped" }) },
  restoreRun: { may: staff, input: (w) => ({ id: w.run, version: 1 }) },
  saveRubric: { may: staff, input: (w) => ({ projectId: w.projectId, name: "R2", criteria: rubric }) },
  planReviews: {
    may: staff,
    input: (w) => ({
      projectId: w.projectId,
      title: "Second",
      heldOn: "2027-03-10",
      rubricId: w.rubricId,
      teamIds: [w.a],
    }),
  },
  submitSheet: {
    may: ["owner", "co", "reviewer"],
    input: (w) => ({ reviewId: w.review, raterName: "R", marks: [{ criterion: "fit", points: "4" }] }),
  },
  decideReview: { may: staff, input: (w) => ({ id: w.review, version: 1, verdict: "go on" }) },
  addAction: { may: staff, input: (w) => ({ reviewId: w.review, what: "Do", dueOn: "2027-03-10" }) },
  closeAction: { may: own, input: (w) => ({ id: w.action, version: 1, evidence: "done" }) },
  reopenAction: { may: staff, input: (w) => ({ id: w.action, version: 1 }) },
  saveScheme: {
    may: staff,
    input: (w) => ({
      projectId: w.projectId,
      baseNumber: 1,
      decimals: 1,
      components: [{ key: "n", name: "N", weight: "100", source: { kind: "entered" } }],
    }),
  },
  enterMark: {
    may: staff,
    input: (w) => ({
      projectId: w.projectId,
      personId: w.students[0]!,
      component: "notebook",
      kind: "mark",
      percent: "80",
    }),
  },
  publishGrades: { may: staff, input: (w) => ({ projectId: w.projectId }) },
  saveSettings: { may: staff, input: (w) => ({ projectId: w.projectId, gateStrictness: "block" }) },
  linkBriefRule: { may: staff, input: (w) => ({ projectId: w.projectId, key: "at most # kg", requirementId: w.mass }) },
  adoptRule: {
    may: staff,
    input: (w) => ({ projectId: w.projectId, key: "weighs at most # kg", text: "Weighs at most 5 kg" }),
  },
  saveChallenge: {
    may: staff,
    input: (w) => ({
      projectId: w.projectId,
      title: "Tower",
      heldOn: "2027-01-18",
      measure: "Height",
      unit: "m",
      resolution: "0.01",
    }),
  },
  recordChallenge: {
    may: staff,
    input: (w) => ({ id: randomUUID(), challengeId: w.challenge, who: "Table 1", value: "1.2" }),
  },
  removeChallengeResult: { may: [], input: () => ({ id: randomUUID() }) },
  draftQuestion: { may: members, input: (w) => ({ projectId: w.projectId, text: "How heavy may it be?" }) },
  editQuestion: { may: staff, input: (w) => ({ id: w.question, version: 1, text: "x" }) },
  mergeQuestions: { may: members, input: (w) => ({ projectId: w.projectId, into: w.question, from: [w.question2] }) },
  orderQuestions: { may: members, input: (w) => ({ projectId: w.projectId, ids: [w.question] }) },
  dropQuestion: { may: staff, input: (w) => ({ id: w.question }) },
  openSource: {
    may: members,
    input: (w) => ({ projectId: w.projectId, kind: "observation", title: "Shed", heldOn: "2027-01-20" }),
  },
  closeSource: { may: staff, input: (w) => ({ id: w.source, closed: true }) },
  writeNote: { may: members, input: (w) => ({ id: randomUUID(), sourceId: w.source, text: "light" }) },
  amendNote: { may: [...staff, "teammate"], input: (w) => ({ id: w.note, version: 1, text: "lighter" }) },
  answerQuestion: { may: ["client"], input: (w) => ({ questionId: w.question, text: "5 kg" }) },
  saveStatement: { may: members, input: (w) => ({ projectId: w.projectId, text: "Light" }) },
  mergeStatements: {
    may: members,
    input: (w) => ({ projectId: w.projectId, into: w.statement, from: [w.statement2] }),
  },
  unmergeStatement: { may: members, input: (w) => ({ id: w.statement }) },
  tellApart: { may: members, input: (w) => ({ projectId: w.projectId, a: w.statement, b: w.statement2 }) },
  setStatementAside: { may: members, input: (w) => ({ id: w.statement, reason: "not a need" }) },
  linkStatement: { may: staff, input: (w) => ({ id: w.statement, requirementId: w.mass }) },
  adoptStatement: { may: staff, input: (w) => ({ id: w.statement }) },
  askClient: { may: staff, input: (w) => ({ statementId: w.statement, text: "How light?" }) },
  makeBaseline: { may: staff, input: (w) => ({ projectId: w.projectId }) },
  askChange: { may: members, input: (w) => ({ projectId: w.projectId, what: "5.5 kg", reason: "the frame" }) },
  decideChange: { may: staff, input: (w) => ({ id: w.change, version: 1, state: "declined", decision: "no" }) },
  ownRequirement: { may: staff, input: (w) => ({ id: w.mass, ownerId: w.students[0] }) },
  importRequirements: { may: staff, input: (w) => ({ projectId: w.projectId, text: "Statement\nX" }) },
  claimMust: { may: staff, input: (w) => ({ conceptId: w.concept, requirementId: w.seen, says: "yes" }) },
  addSketch: { may: staff, input: (w) => ({ conceptId: w.concept, base64: "x" }) },
  removeSketch: { may: [], input: () => ({ id: randomUUID() }) },
  mergeConcepts: {
    may: staff,
    input: (w) => ({ projectId: w.projectId, title: "Both", parents: [w.concept, w.concept2], reason: "x" }),
  },
  openSelection: {
    may: staff,
    input: (w) => ({ projectId: w.projectId, title: "First", school: "vote", conceptIds: [w.concept, w.concept2] }),
  },
  weighSelection: { may: staff, input: (w) => ({ id: w.selection, version: 1, weights: [1] }) },
  rateConcepts: { may: [...members, "client", "reviewer"], input: (w) => ({ selectionId: w.selection, marks: {} }) },
  closeSelection: { may: staff, input: (w) => ({ id: w.selection, version: 1, going: [w.concept] }) },
  reopenSelection: { may: staff, input: (w) => ({ id: w.selection }) },
  saveTraits: {
    may: staff,
    input: (w) => ({
      projectId: w.projectId,
      rows: [{ personId: w.students[0], skills: { making: 3 }, marked: true }],
    }),
  },
  saveWishes: {
    may: ["teammate"],
    input: (w) => ({ projectId: w.projectId, personId: w.students[0], people: [w.students[1]], ideas: [] }),
  },
  addConstraint: {
    may: staff,
    input: (w) => ({ projectId: w.projectId, kind: "apart", people: [w.students[0], w.students[1]] }),
  },
  removeConstraint: { may: staff, input: (w) => ({ id: w.constraint }) },
  joinTeam: { may: ["teammate"], input: (w) => ({ projectId: w.projectId, personId: w.students[0], teamId: w.b }) },
  foundTeam: { may: ["teammate"], input: (w) => ({ projectId: w.projectId, personId: w.students[0], name: "Own" }) },
  setTeamConcept: { may: staff, input: (w) => ({ id: w.a, conceptId: w.concept }) },
  formByIdea: { may: staff, input: (w) => ({ projectId: w.projectId }) },
  saveTeamPlan: {
    may: staff,
    input: (w) => ({
      projectId: w.projectId,
      name: "A",
      seed: "1",
      assignment: {},
      setup: { min: 1, max: 3, teams: 0, weights: { idea: 1, wish: 1, skill: 1, lone: 1, repeat: 1 } },
    }),
  },
  adoptTeamPlan: { may: staff, input: (w) => ({ id: w.teamPlan }) },
  undoTeamPlan: { may: staff, input: (w) => ({ id: w.teamPlan }) },
  drawSelectionOrder: { may: staff, input: (w) => ({ projectId: w.projectId, seed: "5" }) },
  savePart: { may: [...staff, "teammate"], input: (w) => ({ teamId: w.a, name: "Lever" }) },
  removePart: { may: [...staff, "teammate"], input: (w) => ({ id: w.part }) },
  saveTask: { may: staff, input: (w) => ({ projectId: w.projectId, title: "Draw", length: 2 }) },
  finishTask: { may: staff, input: (w) => ({ id: w.task, doneOn: "2027-02-01" }) },
  removeTask: { may: staff, input: (w) => ({ id: w.task }) },
  moveMilestone: { may: staff, input: (w) => ({ id: w.spare, version: 1, dueOn: "2027-03-01" }) },
  setMilestoneDate: { may: staff, input: (w) => ({ milestoneId: w.spare, sectionId: w.section, dueOn: "2027-03-01" }) },
  saveSectionPattern: {
    may: staff,
    input: (w) => ({ projectId: w.projectId, sectionId: w.section, version: 1, pattern: "weekdays", days: [1] }),
  },
  addExtraSession: { may: staff, input: (w) => ({ projectId: w.projectId, onDate: "2027-02-20" }) },
  removeExtraSession: { may: staff, input: (w) => ({ id: w.extra }) },
  importDaysOff: { may: staff, input: (w) => ({ projectId: w.projectId, text: "BEGIN:VCALENDAR" }) },
  setGate: { may: staff, input: (w) => ({ milestoneId: w.spare, stage: "prototype" }) },
  addGateItem: { may: staff, input: (w) => ({ milestoneId: w.gate, kind: "team", label: "Model" }) },
  removeGateItem: { may: staff, input: (w) => ({ id: w.gateItem }) },
  tickGate: { may: [...staff, "teammate"], input: (w) => ({ itemId: w.gateItem, personId: w.students[0], on: true }) },
  signGate: { may: staff, input: (w) => ({ milestoneId: w.gate, teamId: w.a, on: true }) },
  signGates: { may: staff, input: (w) => ({ milestoneId: w.gate, teamIds: [w.a, w.b] }) },
  removeDaysOff: { may: staff, input: (w) => ({ projectId: w.projectId, ids: [w.off] }) },
  saveTool: { may: staff, input: (w) => ({ projectId: w.projectId, name: "Saw" }) },
  signTool: { may: staff, input: (w) => ({ toolId: w.tool, personId: w.students[0], on: true }) },
  writeEntry: {
    may: ["teammate"],
    input: (w) => ({ id: randomUUID(), projectId: w.projectId, personId: w.students[0], text: "Today" }),
  },
  amendEntry: {
    may: ["teammate"],
    input: (w) => ({ id: w.entryOfNotebook, version: 1, text: "Today.", reason: "typo" }),
  },
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
  inspectEntry: { may: scoring, input: (w) => ({ entryId: w.entry, version: 1, outcome: "passed" }) },
  scoreAttempt: { may: scoring, input: (w) => ({ id: randomUUID(), entryId: w.entry, state: "foul" }) },
  voidAttempt: { may: [], input: () => ({ id: randomUUID(), version: 1, reason: "x" }) },
  previewRoster: { may: staff, input: (w) => ({ projectId: w.projectId, text: "Name\nX" }) },
  importRoster: { may: staff, input: (w) => ({ projectId: w.projectId, rows: [{ name: "New One", section: "3" }] }) },
  giveLogin: {
    may: staff,
    input: (w) => ({
      projectId: w.projectId,
      personId: w.students[2]!,
      email: `x${randomUUID().slice(0, 6)}@s.example`,
    }),
  },
  giveLogins: { may: staff, input: (w) => ({ projectId: w.projectId }) },
  resetInstructor: { may: ["owner"], input: (w) => ({ projectId: w.projectId, personId: w.students[2]! }) },
  removeStaff: { may: ["owner"], input: (w) => ({ projectId: w.projectId, personId: w.students[2]! }) },
  changePassword: { may: persons, input: () => ({ current: "x", password: "a long enough one" }) },
  endSessions: { may: persons, input: () => ({}) },
  endEnrolment: { may: staff, input: (w) => ({ projectId: w.projectId, personId: w.students[2]! }) },
  eraseStudent: { may: staff, input: (w) => ({ projectId: w.projectId, personId: w.students[2]!, confirm: "wrong" }) },
  addCoInstructor: { may: ["owner"], input: (w) => ({ projectId: w.projectId, name: "N", email: "n@s.example" }) },
  createGuestLink: { may: staff, input: (w) => ({ projectId: w.projectId, role: "client", label: "C", days: 3 }) },
  revokeGuestLink: { may: [], input: () => ({ id: randomUUID() }) },
  moveRun: { may: staff, input: (w) => ({ id: w.run, version: 1, buildId: w.otherBuild, reason: "wrong build" }) },
  editReview: {
    may: staff,
    input: (w) => ({ id: w.review, version: 1, title: "First review", heldOn: "2027-02-26", buildId: w.build }),
  },
  reopenReview: { may: staff, input: (w) => ({ id: w.review, version: 1, reason: "A sheet was wrong" }) },
  editAction: { may: staff, input: (w) => ({ id: w.action, version: 1, what: "Mend it", dueOn: "2027-03-02" }) },
  renameEvent: { may: staff, input: (w) => ({ id: w.event, version: 1, name: "Lift against time" }) },
  changeEntry: { may: staff, input: (w) => ({ id: w.entry, version: 1, buildId: w.build, reason: "broken" }) },
  editSource: { may: staff, input: (w) => ({ id: w.source, version: 1, title: "Interview", heldOn: "2027-01-22" }) },
  renameSelection: { may: staff, input: (w) => ({ id: w.selection, version: 1, title: "Second" }) },
  renameSection: {
    may: staff,
    input: (w) => ({ projectId: w.projectId, sectionId: w.section, version: 1, name: "3b" }),
  },
  restoreTeam: { may: staff, input: (w) => ({ id: w.a }) },
  addStudent: { may: staff, input: (w) => ({ projectId: w.projectId, sectionId: w.section, name: "Dov Hale" }) },
  editStudent: {
    may: staff,
    input: (w) => ({
      projectId: w.projectId,
      personId: w.students[0]!,
      version: 1,
      name: "Ada Q.",
      sectionId: w.section,
    }),
  },
  restoreEnrolment: { may: staff, input: (w) => ({ projectId: w.projectId, personId: w.students[0]! }) },
  mergeStudents: {
    may: staff,
    input: (w) => ({ projectId: w.projectId, personId: w.students[0]!, fromId: w.students[2]! }),
  },
  withdrawProtocol: { may: staff, input: (w) => ({ id: w.protocol }) },
  withdrawChallenge: { may: staff, input: (w) => ({ id: w.challenge, reason: "Held elsewhere" }) },
  withdrawBuild: { may: staff, input: (w) => ({ id: w.build, reason: "Recorded twice" }) },
  withdrawConcept: { may: staff, input: (w) => ({ id: w.concept, reason: "Twice" }) },
  withdrawSelection: { may: staff, input: (w) => ({ id: w.selection, reason: "Another way" }) },
  withdrawEvent: { may: staff, input: (w) => ({ id: w.event, reason: "Rain" }) },
  withdrawEntry: { may: staff, input: (w) => ({ id: w.entry, reason: "Broken" }) },
  withdrawSource: { may: staff, input: (w) => ({ id: w.source, reason: "Another client" }) },
  withdrawNote: { may: own, input: (w) => ({ id: w.note }) },
  withdrawStatement: { may: members, input: (w) => ({ id: w.statement }) },
  withdrawChange: { may: staff, input: (w) => ({ id: w.change, reason: "Asked twice" }) },
  withdrawFinding: { may: [], input: () => ({ id: randomUUID() }) },
  withdrawEntryOfNotebook: { may: ["teammate"], input: (w) => ({ id: w.entryOfNotebook, reason: "Wrong project" }) },
  withdrawReview: { may: staff, input: (w) => ({ id: w.review, reason: "Called off" }) },
  withdrawSheet: { may: [], input: () => ({ id: randomUUID(), reason: "x" }) },
  withdrawAction: { may: staff, input: (w) => ({ id: w.action }) },
  withdrawRubric: { may: staff, input: (w) => ({ id: w.rubricId }) },
  withdrawTool: { may: staff, input: (w) => ({ id: w.tool, reason: "Sold" }) },
  withdrawTeamPlan: { may: staff, input: (w) => ({ id: w.teamPlan }) },
  bringBack: { may: [], input: () => ({ id: randomUUID() }) },
  purgeWithdrawn: { may: [], input: () => ({ id: randomUUID() }) },
  archiveProject: { may: ["owner"], input: (w) => ({ projectId: w.projectId, away: true }) },
  deleteProject: { may: ["owner"], input: (w) => ({ projectId: w.projectId, confirm: "wrong" }) },
};
