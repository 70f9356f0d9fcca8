// Made from the database's catalog by `./ironstone rows`; a test compares it. Not to be edited by hand.
import type { vocabularies } from "@/core/vocabulary/all";
import type { Term } from "@/core/vocabulary/vocabulary";
import type { Id } from "./id";

type In<N extends keyof typeof vocabularies> = Term<(typeof vocabularies)[N]>;

export interface ActionItem {
  id: Id<"action_item">;
  projectId: Id<"project">;
  reviewId: Id<"review">;
  teamId: Id<"team">;
  what: string;
  ownerId: Id<"person"> | null;
  dueOn: string;
  closedAt: string | null;
  closedBy: string | null;
  closingEvidence: string | null;
  version: number;
  changesDesign: boolean;
  closingBuild: Id<"build"> | null;
  closingRun: Id<"run"> | null;
}

export interface AllowedPart {
  id: Id<"allowed_part">;
  projectId: Id<"project">;
  name: string;
  most: number;
  version: number;
}

export interface Appeal {
  id: Id<"appeal">;
  projectId: Id<"project">;
  personId: Id<"person">;
  publicationId: Id<"publication">;
  component: string;
  words: string;
  filedAt: string;
  outcome: In<"appealOutcome"> | null;
  answer: string;
  answeredBy: string | null;
  answeredAt: string | null;
  version: number;
}

export interface Artefact {
  id: Id<"artefact">;
  projectId: Id<"project">;
  buildId: Id<"build"> | null;
  name: string;
  place: string;
  note: string;
  scrappedOn: string | null;
  scrappedWhy: string;
  recordedBy: string;
  recordedAt: string;
  version: number;
}

export interface ArtefactLoan {
  id: Id<"artefact_loan">;
  artefactId: Id<"artefact">;
  lentTo: string;
  lentOn: string;
  dueOn: string | null;
  backOn: string | null;
  lentBy: string;
  version: number;
}

export interface Attendance {
  projectId: Id<"project">;
  sectionId: Id<"section">;
  personId: Id<"person">;
  onDate: string;
  state: In<"attendanceState">;
  minutes: number | null;
  setBy: string;
  setAt: string;
}

export interface Audit {
  id: Id<"audit">;
  at: string;
  actorKind: string;
  actorId: string | null;
  actorName: string;
  projectId: Id<"project"> | null;
  act: string;
  subjectType: string;
  subjectId: string | null;
  label: string;
  before: unknown | null;
  after: unknown | null;
  reason: string | null;
}

export interface Ballot {
  id: Id<"ballot">;
  projectId: Id<"project">;
  code: string | null;
  openedAt: string;
  closedAt: string | null;
  version: number;
}

export interface Baseline {
  id: Id<"baseline">;
  projectId: Id<"project">;
  number: number;
  content: unknown;
  note: string;
  madeBy: string;
  madeAt: string;
}

export interface Board {
  id: Id<"board">;
  projectId: Id<"project">;
  name: string;
  shows: In<"boardShows">;
  eventId: Id<"event"> | null;
  revealed: number;
  words: string;
  light: boolean;
  version: number;
}

export interface Booking {
  id: Id<"booking">;
  projectId: Id<"project">;
  toolId: Id<"tool">;
  teamId: Id<"team">;
  operatorId: Id<"person"> | null;
  pieceId: Id<"piece"> | null;
  what: string;
  material: string;
  once: boolean;
  minutes: number;
  needBy: string;
  askedBy: string;
  askedAt: string;
  sectionId: Id<"section"> | null;
  onDate: string | null;
  period: number | null;
  starts: number | null;
  startedAt: string | null;
  startedBy: string | null;
  endedAt: string | null;
  usedMinutes: number | null;
  outcome: In<"bookingOutcome"> | null;
  seen: string;
  version: number;
}

export interface BriefReading {
  briefVersionId: Id<"brief_version">;
  personId: Id<"person">;
  at: string;
}

export interface BriefRule {
  projectId: Id<"project">;
  key: string;
  requirementId: Id<"requirement"> | null;
}

export interface BriefVersion {
  id: Id<"brief_version">;
  projectId: Id<"project">;
  number: number;
  body: string;
  whatChanged: string;
  createdBy: string;
  createdAt: string;
}

export interface Build {
  id: Id<"build">;
  projectId: Id<"project">;
  teamId: Id<"team">;
  number: number;
  stage: In<"buildStage">;
  builtOn: string;
  whatChanged: string;
  why: string;
  expected: string;
  predicted: string | null;
  mass: string | null;
  cost: string | null;
  sides: string[] | null;
  learned: string;
  features: string[];
  revision: number;
  recordedBy: string;
  createdAt: string;
  version: number;
  entered: unknown;
  makerId: Id<"person"> | null;
  fromEdition: Id<"build"> | null;
  good: string;
  notGood: string;
}

export interface BuildGuide {
  id: Id<"build_guide">;
  projectId: Id<"project">;
  buildId: Id<"build">;
  title: string;
  intro: string;
  datum: string;
  cautions: string;
  writtenBy: string;
  writtenAt: string;
  version: number;
}

export interface BuildParent {
  buildId: Id<"build">;
  parentId: Id<"build">;
}

export interface BuildSummary {
  buildId: Id<"build">;
  protocolId: Id<"protocol">;
  key: string;
  summary: unknown;
  protocolNumber: number;
}

export interface Challenge {
  id: Id<"challenge">;
  projectId: Id<"project">;
  title: string;
  task: string;
  heldOn: string;
  measure: string;
  unit: string;
  resolution: string;
  better: In<"better">;
  version: number;
}

export interface ChallengeResult {
  id: Id<"challenge_result">;
  projectId: Id<"project">;
  challengeId: Id<"challenge">;
  who: string;
  value: string;
  entered: string;
  recordedBy: string;
  recordedAt: string;
}

export interface ChangeRequest {
  id: Id<"change_request">;
  projectId: Id<"project">;
  requirementId: Id<"requirement"> | null;
  what: string;
  reason: string;
  askedBy: string;
  state: In<"changeState">;
  decision: string;
  decidedBy: string | null;
  decidedAt: string | null;
  requirementVersion: number | null;
  createdAt: string;
  version: number;
}

export interface ClassDay {
  id: Id<"class_day">;
  projectId: Id<"project">;
  sectionId: Id<"section">;
  onDate: string;
  purpose: string;
  agenda: string;
  remark: string;
  takenBy: string | null;
  takenAt: string | null;
  beganAt: string | null;
  version: number;
  remarkVersion: number;
}

export interface Concept {
  id: Id<"concept">;
  projectId: Id<"project">;
  authorId: Id<"person"> | null;
  teamId: Id<"team"> | null;
  title: string;
  idea: string;
  mass: string | null;
  cost: string | null;
  sides: string[] | null;
  fate: In<"conceptFate">;
  fateReason: string;
  fateBy: string | null;
  createdAt: string;
  version: number;
  dimensions: string;
  entered: unknown;
}

export interface ConceptClaim {
  conceptId: Id<"concept">;
  requirementId: Id<"requirement">;
  says: In<"claimWord">;
  how: string;
  estimate: string | null;
}

export interface ConceptFate {
  id: Id<"concept_fate">;
  projectId: Id<"project">;
  conceptId: Id<"concept">;
  fate: string;
  reason: string;
  decidedBy: string;
  decidedAt: string;
  selectionId: Id<"selection"> | null;
}

export interface ConceptParent {
  conceptId: Id<"concept">;
  parentId: Id<"concept">;
}

export interface CutList {
  id: Id<"cut_list">;
  projectId: Id<"project">;
  teamId: Id<"team"> | null;
  title: string;
  kind: In<"cutKind">;
  way: In<"cutWay">;
  kerf: string;
  border: string;
  blanks: string;
  pieces: string;
  unit: string;
  madeBy: string;
  madeAt: string;
  version: number;
}

export interface DayOff {
  id: Id<"day_off">;
  projectId: Id<"project">;
  sectionId: Id<"section"> | null;
  onDate: string;
  reason: string;
}

export interface DemonstrationTick {
  reviewId: Id<"review">;
  requirementId: Id<"requirement">;
  outcome: In<"wishOutcome">;
  word: string;
  tickedBy: string;
  tickedAt: string;
}

export interface Draw {
  id: Id<"draw">;
  projectId: Id<"project">;
  purpose: string;
  seed: string;
  inputs: unknown;
  outcome: unknown;
  drawnBy: string;
  drawnAt: string;
}

export interface Enrolment {
  id: Id<"enrolment">;
  sectionId: Id<"section">;
  personId: Id<"person">;
  fromOn: string | null;
  toOn: string | null;
}

export interface EnteredMark {
  id: Id<"entered_mark">;
  projectId: Id<"project">;
  personId: Id<"person">;
  component: string;
  kind: In<"markKind">;
  share: string | null;
  reason: string;
  enteredBy: string;
  enteredAt: string;
  version: number;
  typed: string;
  late: number;
}

export interface Entry {
  id: Id<"entry">;
  eventId: Id<"event">;
  teamId: Id<"team">;
  buildId: Id<"build"> | null;
  runOrder: number | null;
  inspection: In<"inspectionState">;
  inspectionNote: string;
  inspectedAt: string | null;
  version: number;
  runOff: number | null;
}

export interface Event {
  id: Id<"event">;
  projectId: Id<"project">;
  protocolVersionId: Id<"protocol_version"> | null;
  name: string;
  definition: unknown;
  state: In<"eventState">;
  version: number;
  format: In<"eventFormat">;
  weight: string;
  cautions: string[];
  officer: string;
  starts: number | null;
  lanes: number;
  minutes: string;
  repair: number;
  copied: boolean;
}

export interface EventCheck {
  id: Id<"event_check">;
  eventId: Id<"event">;
  onDate: string;
  cautions: string[];
  signed: string;
  recordedBy: string;
  recordedAt: string;
}

export interface EventHalt {
  id: Id<"event_halt">;
  eventId: Id<"event">;
  reason: string;
  haltedBy: string;
  haltedAt: string;
  liftedBy: string | null;
  liftedAt: string | null;
  liftNote: string;
}

export interface Evidence {
  id: Id<"evidence">;
  projectId: Id<"project">;
  requirementId: Id<"requirement">;
  buildId: Id<"build">;
  kind: In<"evidenceKind">;
  runId: Id<"run"> | null;
  requirementVersion: number;
  buildRevision: number;
  protocolVersion: number | null;
  finding: In<"findingOutcome"> | null;
  note: string;
  keptReason: string | null;
  recordedBy: string;
  recordedAt: string;
  value: string | null;
  entered: string;
}

export interface Extension {
  id: Id<"extension">;
  projectId: Id<"project">;
  personId: Id<"person">;
  component: string;
  sessions: number;
  reason: string;
  grantedBy: string;
  grantedAt: string;
  version: number;
}

export interface ExtraSession {
  id: Id<"extra_session">;
  projectId: Id<"project">;
  sectionId: Id<"section"> | null;
  onDate: string;
  reason: string;
}

export interface Failure {
  id: Id<"failure">;
  projectId: Id<"project">;
  buildId: Id<"build">;
  mode: string;
  place: string;
  cause: string;
  severity: In<"failureSeverity">;
  nextStep: string;
  closedBy: Id<"build"> | null;
  photoId: Id<"file_use"> | null;
  pinX: string | null;
  pinY: string | null;
  recordedBy: string;
  recordedAt: string;
  version: number;
}

export interface FeatureDrop {
  buildId: Id<"build">;
  feature: string;
  reason: string;
}

export interface File {
  hash: string;
  mime: string;
  size: number;
  width: number | null;
  height: number | null;
  content: Uint8Array | null;
}

export interface FileUse {
  id: Id<"file_use">;
  projectId: Id<"project">;
  fileHash: string;
  buildId: Id<"build"> | null;
  caption: string;
  addedBy: string;
  addedAt: string;
  conceptId: Id<"concept"> | null;
  runId: Id<"run"> | null;
  pieceId: Id<"piece"> | null;
  actionId: Id<"action_item"> | null;
  entryId: Id<"notebook_entry"> | null;
  marks: unknown;
}

export interface FlagAside {
  id: Id<"flag_aside">;
  projectId: Id<"project">;
  teamId: Id<"team">;
  kind: In<"flagKind">;
  about: string;
  size: number;
  reason: string;
  note: string;
  setBy: string;
  setAt: string;
}

export interface GateItem {
  id: Id<"gate_item">;
  projectId: Id<"project">;
  milestoneId: Id<"milestone">;
  kind: In<"gateItemKind">;
  label: string;
  needs: number;
  toolId: Id<"tool"> | null;
}

export interface GateSignOff {
  milestoneId: Id<"milestone">;
  teamId: Id<"team">;
  projectId: Id<"project">;
  signedBy: string;
  signedAt: string;
  missing: string;
}

export interface GateTick {
  id: Id<"gate_tick">;
  projectId: Id<"project">;
  itemId: Id<"gate_item">;
  teamId: Id<"team"> | null;
  personId: Id<"person"> | null;
  tickedBy: string;
  tickedAt: string;
}

export interface Guess {
  key: string;
  n: number;
  at: string;
  freeAt: string;
}

export interface GuestLink {
  id: Id<"guest_link">;
  projectId: Id<"project">;
  role: In<"guestRole">;
  label: string;
  secretHash: string;
  pinHash: string | null;
  expiresAt: string;
  revokedAt: string | null;
  createdAt: string;
  version: number;
}

export interface GuideStep {
  id: Id<"guide_step">;
  guideId: Id<"build_guide">;
  place: number;
  what: string;
  partId: Id<"part_line"> | null;
  count: number;
  at: string[] | null;
  atEntered: string;
  caution: string;
  photoId: Id<"file_use"> | null;
  version: number;
}

export interface HallCall {
  id: Id<"hall_call">;
  projectId: Id<"project">;
  words: string;
  calledBy: string;
  calledAt: string;
  endedAt: string | null;
}

export interface HandbookUse {
  id: Id<"handbook_use">;
  projectId: Id<"project">;
  calculator: string;
  inputs: unknown;
  units: In<"unitSystem">;
  note: string;
  buildId: Id<"build"> | null;
  protocolId: Id<"protocol"> | null;
  requirementId: Id<"requirement"> | null;
  entryId: Id<"notebook_entry"> | null;
  personId: Id<"person"> | null;
  madeBy: string;
  madeAt: string;
  version: number;
}

export interface Honour {
  id: Id<"honour">;
  projectId: Id<"project">;
  teamId: Id<"team">;
  kind: In<"awardKind"> | null;
  title: string;
  says: string;
  engraved: string;
  givenOn: string;
  givenBy: string;
  version: number;
}

export interface Incident {
  id: Id<"incident">;
  projectId: Id<"project">;
  toolId: Id<"tool"> | null;
  kind: In<"incidentKind">;
  onDate: string;
  place: string;
  what: string;
  done: string;
  told: string;
  changed: string;
  reportedBy: string;
  reportedAt: string;
  closedAt: string | null;
  closedBy: string | null;
  version: number;
}

export interface Inspection {
  id: Id<"inspection">;
  buildId: Id<"build">;
  number: number;
  buildRevision: number;
  outcome: In<"inspectionOutcome">;
  checks: unknown;
  waiver: string;
  note: string;
  recordedBy: string;
  recordedAt: string;
}

export interface JudgeSheet {
  id: Id<"judge_sheet">;
  entryId: Id<"entry">;
  judgeId: string;
  judge: string;
  state: In<"sheetState">;
  asideFrom: string | null;
  marks: unknown;
  note: string;
  reason: string;
  recordedAt: string;
  version: number;
}

export interface KeptBuild {
  buildId: Id<"build">;
  projectId: Id<"project">;
  stale: boolean;
  mark: string;
}

export interface KeptEvent {
  eventId: Id<"event">;
  projectId: Id<"project">;
  stale: boolean;
  mark: string;
  standings: unknown;
  eventVersion: number | null;
}

export interface Kit {
  id: Id<"kit">;
  projectId: Id<"project">;
  name: string;
  contents: unknown;
  version: number;
}

export interface KitOut {
  id: Id<"kit_out">;
  projectId: Id<"project">;
  kitId: Id<"kit">;
  teamId: Id<"team">;
  contents: unknown;
  outOn: string;
  outBy: string;
  counted: number[] | null;
  backOn: string | null;
  backBy: string | null;
  note: string;
  version: number;
}

export interface KnownDevice {
  hash: string;
  linkId: Id<"guest_link">;
  at: string;
}

export interface MachineCheck {
  id: Id<"machine_check">;
  projectId: Id<"project">;
  toolId: Id<"tool">;
  onDate: string;
  lines: string[];
  checkedBy: string;
  checkedAt: string;
}

export interface MachineSetting {
  id: Id<"machine_setting">;
  projectId: Id<"project">;
  machine: string;
  material: string;
  thicknessText: string;
  thickness: string | null;
  settings: string;
  outcome: In<"settingOutcome">;
  seen: string;
  triedBy: string;
  triedOn: string;
  version: number;
}

export interface MatchResult {
  id: Id<"match_result">;
  eventId: Id<"event">;
  number: number;
  slot: string;
  aId: Id<"entry">;
  bId: Id<"entry">;
  outcome: In<"matchOutcome">;
  winnerId: Id<"entry"> | null;
  aScore: string | null;
  bScore: string | null;
  reason: string;
  recordedBy: string;
  recordedAt: string;
}

export interface Membership {
  id: Id<"membership">;
  projectId: Id<"project">;
  teamId: Id<"team">;
  personId: Id<"person">;
  role: string;
  fromOn: string;
  toOn: string | null;
}

export interface Migration {
  name: string;
  at: string;
}

export interface Milestone {
  id: Id<"milestone">;
  projectId: Id<"project">;
  title: string;
  dueOn: string;
  scope: In<"milestoneScope">;
  version: number;
  gateStage: In<"buildStage"> | null;
}

export interface MilestoneCheck {
  id: Id<"milestone_check">;
  projectId: Id<"project">;
  milestoneId: Id<"milestone">;
  teamId: Id<"team"> | null;
  personId: Id<"person"> | null;
  doneOn: string;
  checkedBy: string;
}

export interface MilestoneDate {
  milestoneId: Id<"milestone">;
  sectionId: Id<"section">;
  dueOn: string;
}

export interface Note {
  id: Id<"note">;
  projectId: Id<"project">;
  sourceId: Id<"source">;
  questionId: Id<"question"> | null;
  text: string;
  authorId: Id<"person"> | null;
  author: string;
  writtenAt: string;
  version: number;
}

export interface NotebookCountersign {
  id: Id<"notebook_countersign">;
  entryId: Id<"notebook_entry">;
  partnerId: Id<"person">;
  askedAt: string;
  number: number | null;
  signedAt: string | null;
}

export interface NotebookEntry {
  id: Id<"notebook_entry">;
  projectId: Id<"project">;
  personId: Id<"person">;
  onDate: string;
  createdAt: string;
  version: number;
}

export interface NotebookRemark {
  id: Id<"notebook_remark">;
  projectId: Id<"project">;
  entryId: Id<"notebook_entry">;
  text: string;
  madeBy: string;
  madeAt: string;
  version: number;
}

export interface NotebookSeen {
  entryId: Id<"notebook_entry">;
  personId: Id<"person">;
  number: number;
  seenAt: string;
}

export interface NotebookVersion {
  entryId: Id<"notebook_entry">;
  number: number;
  text: string;
  reason: string;
  writtenAt: string;
}

export interface NoticeCount {
  projectId: Id<"project">;
  number: number;
}

export interface Part {
  id: Id<"part">;
  projectId: Id<"project">;
  teamId: Id<"team">;
  name: string;
  role: string;
  version: number;
}

export interface PartLine {
  id: Id<"part_line">;
  buildId: Id<"build">;
  name: string;
  count: number;
  mass: string | null;
  cost: string | null;
  source: In<"partSource">;
  supplier: string;
  entered: unknown;
  version: number;
  stockItemId: Id<"stock_item"> | null;
  gotOn: string | null;
  gotBy: string | null;
}

export interface PartOwner {
  partId: Id<"part">;
  personId: Id<"person">;
}

export interface Passage {
  kind: In<"passageKind">;
  ref: string;
  projectId: Id<"project">;
  teamId: string | null;
  personId: string | null;
  at: string;
  text: string;
  words: string | null;
}

export interface PeerRating {
  roundId: Id<"peer_round">;
  raterId: Id<"person">;
  rateeId: Id<"person">;
  value: number;
  comment: string;
  ratedAt: string;
}

export interface PeerRound {
  id: Id<"peer_round">;
  projectId: Id<"project">;
  title: string;
  method: In<"peerMethod">;
  openedAt: string;
  closedAt: string | null;
  version: number;
}

export interface Penalty {
  runId: Id<"run">;
  key: string;
  count: number;
  reason: string;
}

export interface Person {
  id: Id<"person">;
  name: string;
  email: string | null;
  passwordHash: string | null;
  instructor: boolean;
  admin: boolean;
  erasedAt: string | null;
  version: number;
  loginName: string | null;
  head: boolean;
}

export interface Piece {
  id: Id<"piece">;
  buildId: Id<"build">;
  name: string;
  makerId: Id<"person"> | null;
  oneChance: boolean;
  material: string;
  machine: string;
  settings: unknown;
  chain: string;
  nominal: string | null;
  tolerance: string | null;
  measured: string | null;
  entered: unknown;
  version: number;
  partId: Id<"part_line"> | null;
}

export interface PieceStep {
  pieceId: Id<"piece">;
  step: In<"pieceStep">;
  personId: Id<"person"> | null;
  doneBy: string;
  doneAt: string;
}

export interface Project {
  id: Id<"project">;
  slug: string;
  title: string;
  purpose: string;
  kind: In<"projectKind">;
  client: string;
  startsOn: string;
  endsOn: string;
  eventOn: string | null;
  currency: string;
  settings: unknown;
  editionOf: Id<"project"> | null;
  finishedAt: string | null;
  createdAt: string;
  version: number;
  archivedAt: string | null;
  bundledAt: string | null;
}

export interface ProjectSection {
  projectId: Id<"project">;
  sectionId: Id<"section">;
  startsOn: string | null;
  endsOn: string | null;
  eventOn: string | null;
}

export interface Protocol {
  id: Id<"protocol">;
  projectId: Id<"project">;
  name: string;
  version: number;
}

export interface ProtocolVersion {
  id: Id<"protocol_version">;
  protocolId: Id<"protocol">;
  number: number;
  definition: unknown;
  whatChanged: string;
  createdBy: string;
  createdAt: string;
}

export interface Publication {
  id: Id<"publication">;
  projectId: Id<"project">;
  number: number;
  schemeVersion: number;
  ledger: unknown;
  whatChanged: string;
  publishedBy: string;
  publishedAt: string;
  withdrawnAt: string | null;
  withdrawnBy: string | null;
  withdrawnReason: string | null;
  version: number;
}

export interface Question {
  id: Id<"question">;
  projectId: Id<"project">;
  text: string;
  draftedBy: string;
  drafterId: Id<"person"> | null;
  askerId: Id<"person"> | null;
  mergedInto: Id<"question"> | null;
  place: number | null;
  forClient: boolean;
  statementId: Id<"statement"> | null;
  dropped: boolean;
  createdAt: string;
  version: number;
}

export interface Reading {
  runId: Id<"run">;
  key: string;
  role: In<"readingRole">;
  value: string;
  entered: string;
  second: string | null;
  secondEntered: string;
}

export interface ReportTopic {
  id: Id<"report_topic">;
  projectId: Id<"project">;
  title: string;
  place: number;
  teamId: Id<"team"> | null;
  body: string;
  writtenBy: string | null;
  writtenAt: string | null;
  version: number;
}

export interface RequestDone {
  id: Id<"request_done">;
  act: string;
  actor: string;
  result: unknown | null;
  at: string;
}

export interface Requirement {
  id: Id<"requirement">;
  projectId: Id<"project">;
  code: string;
  retiredAt: string | null;
  retiredReason: string | null;
  version: number;
  ownerId: Id<"person"> | null;
}

export interface RequirementVersion {
  id: Id<"requirement_version">;
  requirementId: Id<"requirement">;
  number: number;
  statement: string;
  kind: In<"requirementKind">;
  priority: In<"priority">;
  measure: string | null;
  comparator: In<"comparator"> | null;
  target: string | null;
  second: string | null;
  sides: string[] | null;
  unit: string | null;
  method: In<"verificationMethod"> | null;
  source: string;
  reason: string;
  createdBy: string;
  createdAt: string;
}

export interface Review {
  id: Id<"review">;
  projectId: Id<"project">;
  title: string;
  heldOn: string;
  teamId: Id<"team">;
  buildId: Id<"build"> | null;
  rubricVersionId: Id<"rubric_version">;
  verdict: In<"reviewVerdict"> | null;
  verdictNote: string;
  decidedBy: string | null;
  decidedAt: string | null;
  version: number;
  buildChosen: boolean;
  packet: string[];
  kind: In<"reviewKind">;
  takesPart: string;
  rests: unknown | null;
  packetLeft: string[];
}

export interface ReviewQuestion {
  id: Id<"review_question">;
  projectId: Id<"project">;
  reviewId: Id<"review">;
  question: string;
  askedBy: string;
  askedAt: string;
  answer: string;
  answeredBy: string | null;
  answeredAt: string | null;
  version: number;
}

export interface Rubric {
  id: Id<"rubric">;
  projectId: Id<"project">;
  name: string;
  version: number;
}

export interface RubricVersion {
  id: Id<"rubric_version">;
  rubricId: Id<"rubric">;
  number: number;
  definition: unknown;
  createdBy: string;
  createdAt: string;
}

export interface Run {
  id: Id<"run">;
  projectId: Id<"project">;
  buildId: Id<"build">;
  buildRevision: number;
  protocolVersionId: Id<"protocol_version">;
  attempt: number;
  place: In<"runPlace">;
  entryId: Id<"entry"> | null;
  state: In<"runState">;
  reason: string | null;
  voidFrom: string | null;
  recordedBy: string;
  recordedAt: string;
  version: number;
  note: string;
  rivalOf: Id<"run"> | null;
}

export interface RunValue {
  runId: Id<"run">;
  key: string;
  buildId: Id<"build">;
  value: number | null;
  u: number | null;
  comparable: boolean;
  sound: boolean;
  reasons: string[];
  runVersion: number;
  protocolNumber: number;
}

export interface SafetyCheck {
  id: Id<"safety_check">;
  projectId: Id<"project">;
  protocolId: Id<"protocol">;
  teamId: Id<"team">;
  onDate: string;
  cautions: string[];
  checkedBy: string;
  checkedAt: string;
}

export interface SchemeVersion {
  id: Id<"scheme_version">;
  projectId: Id<"project">;
  number: number;
  definition: unknown;
  createdBy: string;
  createdAt: string;
  why: string;
}

export interface Section {
  id: Id<"section">;
  name: string;
  schoolYear: string;
  pattern: unknown;
  version: number;
}

export interface Selection {
  id: Id<"selection">;
  projectId: Id<"project">;
  title: string;
  school: In<"conceptMethod">;
  definition: unknown;
  concepts: string[];
  closedAt: string | null;
  createdBy: string;
  createdAt: string;
  version: number;
}

export interface SelectionSheet {
  id: Id<"selection_sheet">;
  projectId: Id<"project">;
  selectionId: Id<"selection">;
  raterPerson: Id<"person"> | null;
  raterGuest: Id<"guest_link"> | null;
  raterName: string;
  marks: unknown;
  handedInAt: string;
  version: number;
}

export interface Series {
  id: Id<"series">;
  projectId: Id<"project">;
  buildId: Id<"build">;
  protocolVersionId: Id<"protocol_version">;
  key: string;
  unit: string;
  source: string;
  runId: Id<"run"> | null;
  fromT: number | null;
  toT: number | null;
  reason: string;
  recordedBy: string;
  recordedAt: string;
  version: number;
  capture: string | null;
  simulated: boolean;
}

export interface SeriesBlock {
  seriesId: Id<"series">;
  number: number;
  n: number;
  fromT: number;
  toT: number;
  low: number;
  high: number;
  samples: string;
}

export interface SessionToken {
  hash: string;
  personId: Id<"person">;
  createdAt: string;
  expiresAt: string;
  begunAt: string;
}

export interface Sheet {
  id: Id<"sheet">;
  projectId: Id<"project">;
  reviewId: Id<"review">;
  rubricVersionId: Id<"rubric_version">;
  raterPerson: Id<"person"> | null;
  raterGuest: Id<"guest_link"> | null;
  raterName: string;
  comment: string;
  submittedAt: string;
  version: number;
  correction: string;
}

export interface SheetMark {
  sheetId: Id<"sheet">;
  criterion: string;
  points: string;
  comment: string;
}

export interface SheetPersonMark {
  sheetId: Id<"sheet">;
  criterion: string;
  personId: Id<"person">;
  points: string;
}

export interface Slot {
  id: Id<"slot">;
  planId: Id<"slot_plan">;
  reviewId: Id<"review">;
  hours: string[];
  heldOn: string | null;
  starts: number | null;
  room: number | null;
  reviewers: string[];
  beganAt: string | null;
  endedAt: string | null;
  version: number;
}

export interface SlotPlan {
  id: Id<"slot_plan">;
  projectId: Id<"project">;
  title: string;
  definition: unknown;
  createdBy: string;
  createdAt: string;
  version: number;
}

export interface Source {
  id: Id<"source">;
  projectId: Id<"project">;
  kind: In<"sourceKind">;
  title: string;
  who: string;
  heldOn: string;
  closedAt: string | null;
  createdBy: string;
  createdAt: string;
  version: number;
}

export interface Staff {
  projectId: Id<"project">;
  personId: Id<"person">;
  role: In<"staffRole">;
}

export interface Statement {
  id: Id<"statement">;
  projectId: Id<"project">;
  text: string;
  mergedInto: Id<"statement"> | null;
  requirementId: Id<"requirement"> | null;
  setAside: string | null;
  createdBy: string;
  createdAt: string;
  version: number;
}

export interface StatementApart {
  a: Id<"statement">;
  b: Id<"statement">;
  toldBy: string;
}

export interface StatementNote {
  statementId: Id<"statement">;
  noteId: Id<"note">;
}

export interface StockItem {
  id: Id<"stock_item">;
  projectId: Id<"project">;
  name: string;
  form: In<"stockForm">;
  length: string | null;
  width: string | null;
  sizeText: string;
  price: string | null;
  place: string;
  supplier: string;
  low: string | null;
  donated: boolean;
  version: number;
}

export interface StockMove {
  id: Id<"stock_move">;
  projectId: Id<"project">;
  itemId: Id<"stock_item">;
  kind: In<"stockMove">;
  amount: string;
  teamId: Id<"team"> | null;
  note: string;
  madeBy: string;
  onDate: string;
  madeAt: string;
}

export interface Story {
  id: Id<"story">;
  projectId: Id<"project">;
  teamId: Id<"team">;
  title: string;
  chapters: unknown;
  sharedAt: string | null;
  writtenBy: string;
  writtenAt: string;
  version: number;
}

export interface Task {
  id: Id<"task">;
  projectId: Id<"project">;
  title: string;
  length: number;
  notBefore: string | null;
  deadline: string | null;
  milestoneId: Id<"milestone"> | null;
  after: string[];
  doneOn: string | null;
  place: number;
  version: number;
}

export interface Team {
  id: Id<"team">;
  projectId: Id<"project">;
  sectionId: Id<"section"> | null;
  name: string;
  retiredAt: string | null;
  version: number;
  conceptId: Id<"concept"> | null;
}

export interface TeamConstraint {
  id: Id<"team_constraint">;
  projectId: Id<"project">;
  kind: In<"constraintKind">;
  people: string[];
  seat: string | null;
  createdBy: string;
}

export interface TeamPlan {
  id: Id<"team_plan">;
  projectId: Id<"project">;
  name: string;
  seed: string;
  problem: unknown;
  assignment: unknown;
  cost: unknown;
  madeBy: string;
  madeAt: string;
  adoptedAt: string | null;
  before: unknown | null;
}

export interface Tool {
  id: Id<"tool">;
  projectId: Id<"project">;
  name: string;
  caution: string;
  version: number;
  rules: string;
  trainers: string;
  place: string;
  months: number | null;
  shared: boolean;
  checks: string[];
}

export interface ToolSignOff {
  toolId: Id<"tool">;
  personId: Id<"person">;
  projectId: Id<"project">;
  signedOn: string;
  signedBy: string;
  expiresOn: string | null;
}

export interface TrainerAnswer {
  id: Id<"trainer_answer">;
  projectId: Id<"project">;
  personId: Id<"person">;
  kind: In<"trainerKind">;
  seed: string;
  given: string;
  correct: boolean;
  answeredAt: string;
}

export interface Trait {
  projectId: Id<"project">;
  personId: Id<"person">;
  skills: unknown;
  marked: boolean;
}

export interface VariableSetting {
  buildId: Id<"build">;
  name: string;
  value: string;
}

export interface Verdict {
  requirementId: Id<"requirement">;
  buildId: Id<"build">;
  value: In<"verdict">;
  requirementNumber: number;
  buildRevision: number;
}

export interface Vote {
  ballotId: Id<"ballot">;
  device: string;
  teamId: Id<"team">;
  castAt: string;
}

export interface Wish {
  projectId: Id<"project">;
  personId: Id<"person">;
  kind: In<"wishKind">;
  target: string;
  place: number;
}

export interface Withdrawn {
  id: Id<"withdrawn">;
  projectId: Id<"project">;
  kind: string;
  label: string;
  teamId: Id<"team"> | null;
  personId: Id<"person"> | null;
  reason: string;
  links: unknown;
  withdrawnBy: string;
  withdrawnAt: string;
}

export interface WithdrawnRow {
  withdrawnId: Id<"withdrawn">;
  place: number;
  tableName: string;
  content: unknown;
}
