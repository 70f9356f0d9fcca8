// Schemas of the front of the work: brief, needs, selection, forming of teams, plan, gates, notebook.
import * as yup from "yup";
import { parseUnit } from "@/core/quantity/units";
import * as c from "./common";

const pick = <T extends string>(...of: T[]) => yup.mixed<T>().oneOf(of);
const ids = (max = 60) => yup.array(c.id()).max(max).default([]);
const whole = (min: number, max: number) => yup.number().integer().min(min).max(max);

export const settings = yup.object({
  projectId: c.id(),
  conceptsOpen: yup.boolean().optional(),
  conceptSchool: pick("client", "panel", "vote", "weighted", "datum").optional(),
  teamSchool: pick("idea", "draw", "self", "assigned", "solver").optional(),
  teamMin: whole(1, 12).optional(),
  teamMax: whole(1, 12)
    .optional()
    .test(
      "order",
      "The largest size lies below the smallest.",
      (v, x) => v === undefined || x.parent.teamMin === undefined || v >= x.parent.teamMin,
    ),
  gateStrictness: pick("warn", "block", "none").optional(),
  shareSchool: pick("number", "role", "none").optional(),
});

// Brief
export const briefRule = yup.object({ projectId: c.id(), key: c.text(400), requirementId: c.optionalId() });
export const challenge = yup.object({
  projectId: c.id(),
  title: c.text(120),
  task: c.optionalText(2000),
  heldOn: c.date(),
  measure: c.text(60),
  unit: c
    .optionalText(20)
    .test(
      "unit",
      "This unit is not known here. Write for example m, g, s, or leave it empty for a count.",
      (v) => !v || parseUnit(v) !== null,
    ),
  resolution: c
    .optionalText(20)
    .test("number", "Write how finely it is read, for example 0.01.", (v) => !v || Number(v) > 0),
  better: pick("more", "less").default("more"),
});
export const challengeResult = yup.object({
  id: c.id(),
  challengeId: c.id(),
  who: c.text(120),
  value: yup.string().trim().required(),
});
export const challengeResultId = yup.object({ id: c.id() });

// Needs
export const question = yup.object({ projectId: c.id(), text: c.text(400) });
export const editQuestion = yup.object({
  id: c.id(),
  version: c.version(),
  text: c.text(400),
  askerId: c.optionalId(),
  forClient: yup.boolean().default(false),
});
export const mergeQuestions = yup.object({ projectId: c.id(), into: c.id(), from: ids().min(1) });
export const orderQuestions = yup.object({ projectId: c.id(), ids: ids(200).min(1) });
export const dropQuestion = yup.object({ id: c.id(), dropped: yup.boolean().default(true) });
export const openQuestion = yup.object({ statementId: c.id(), text: c.text(400) });
export const answer = yup.object({ questionId: c.id(), text: c.text(4000) });
export const source = yup.object({
  projectId: c.id(),
  kind: pick("interview", "observation", "product").required(),
  title: c.text(160),
  who: c.optionalText(160),
  heldOn: c.date(),
});
export const sourceState = yup.object({ id: c.id(), closed: yup.boolean().required() });
export const note = yup.object({
  id: c.id(),
  sourceId: c.id(),
  questionId: c.optionalId(),
  text: c.text(4000),
  writtenAt: yup.string().optional(),
});
export const amendNote = yup.object({ id: c.id(), version: c.version(), text: c.text(4000) });
export const statement = yup.object({
  projectId: c.id(),
  id: c.optionalId(),
  version: yup.number().integer().default(0),
  text: c.text(400),
  noteIds: ids(40),
});
export const mergeStatements = yup.object({ projectId: c.id(), into: c.id(), from: ids().min(1) });
export const tellApart = yup.object({ projectId: c.id(), a: c.id(), b: c.id() });
export const setAside = yup.object({ id: c.id(), reason: c.optionalText(400) });
export const linkStatement = yup.object({ id: c.id(), requirementId: c.optionalId() });
export const requirementOwner = yup.object({ id: c.id(), ownerId: c.optionalId() });
export const baseline = yup.object({ projectId: c.id(), note: c.optionalText(400) });
export const changeRequest = yup.object({
  projectId: c.id(),
  requirementId: c.optionalId(),
  what: c.text(600),
  reason: c.text(600),
});
export const decideChange = yup.object({
  id: c.id(),
  version: c.version(),
  state: pick("accepted", "declined").required(),
  decision: c.text(600),
});
export const requirementsCsv = yup.object({
  projectId: c.id(),
  text: yup.string().trim().max(2_000_000).required("Paste the table, or choose a file."),
  commit: yup.boolean().default(false),
});

// Concepts
export const concept = yup.object({
  projectId: c.id(),
  id: c.optionalId(),
  version: yup.number().integer().default(0),
  title: c.text(120),
  idea: c.optionalText(4000),
  mass: c.quantity("kg"),
  cost: c.quantity("1"),
  sides: c.sides(),
  dimensions: c.optionalText(1000),
});
export const claim = yup.object({
  conceptId: c.id(),
  requirementId: c.id(),
  says: pick("", "yes", "no", "unsure").default(""),
  how: c.optionalText(600),
  estimate: c.optionalText(60),
});
export const sketch = yup.object({
  conceptId: c.id(),
  base64: yup.string().required("Choose a photo or a drawing.").max(34_000_000, "At most 25 MB."),
  caption: c.optionalText(200),
});
export const fileUseId = yup.object({ id: c.id() });
export const conceptFate = yup.object({
  id: c.id(),
  version: c.version(),
  fate: pick("open", "goes on", "set aside").required(),
  reason: c
    .optionalText(400)
    .test("why", "Say why: the reason stays on record.", (v, x) => x.parent.fate === "open" || !!v),
});
export const mergeConcepts = yup.object({
  projectId: c.id(),
  title: c.text(120),
  idea: c.optionalText(4000),
  parents: ids(6).min(2, "Choose at least two concepts."),
  reason: c.text(400),
});

const criterion = yup.object({
  key: c.text(40),
  name: c.text(80),
  weight: yup.number().moreThan(0, "A weight is above zero.").required(),
});
export const selection = yup.object({
  projectId: c.id(),
  title: c.text(120),
  school: pick("client", "panel", "vote", "weighted", "datum").required(),
  conceptIds: ids(40).min(2, "Choose at least two concepts."),
  criteria: yup
    .array(criterion)
    .max(15)
    .default([])
    .when("school", {
      is: (x: string) => x !== "client" && x !== "vote",
      then: (q) => q.min(1, "Name at least one criterion."),
    }),
  top: yup.number().min(1).max(100).default(5),
  keep: whole(1, 40).default(1),
  votes: whole(1, 20).default(1),
  datum: c.optionalId(),
  severity: pick("raw", "adjusted").default("raw"),
});
export const selectionWeights = yup.object({
  id: c.id(),
  version: c.version(),
  weights: yup.array(yup.number().moreThan(0, "A weight is above zero.").required()).max(15).required(),
  pairs: yup.mixed<Record<string, number>>().optional(),
});
export const selectionSheet = yup.object({
  selectionId: c.id(),
  marks: yup
    .mixed<Record<string, unknown>>(
      (v): v is Record<string, unknown> => typeof v === "object" && v !== null && JSON.stringify(v).length < 60_000,
    )
    .required(),
});
export const closeSelection = yup.object({
  id: c.id(),
  version: c.version(),
  going: ids(40),
  reasons: yup.mixed<Record<string, string>>().default({}),
});
export const selectionId = yup.object({ id: c.id() });

// Teams
export const joinTeam = yup.object({ projectId: c.id(), teamId: c.optionalId(), personId: c.id() });
export const wishes = yup.object({ projectId: c.id(), personId: c.id(), people: ids(10), ideas: ids(10) });
export const traits = yup.object({
  projectId: c.id(),
  rows: yup
    .array(
      yup.object({
        personId: c.id(),
        skills: yup
          .mixed<Record<string, number>>(
            (v): v is Record<string, number> =>
              typeof v === "object" &&
              v !== null &&
              Object.values(v).every((x) => typeof x === "number" && x >= 0 && x <= 10),
          )
          .default({}),
        marked: yup.boolean().default(false),
      }),
    )
    .max(400)
    .required(),
});
export const teamConstraint = yup.object({
  projectId: c.id(),
  kind: pick("apart", "together", "lock", "forbidden").required(),
  people: ids(12)
    .min(1, "Choose the students.")
    .test(
      "two",
      "Choose at least two students.",
      (v, x) => x.parent.kind === "lock" || x.parent.kind === "forbidden" || (v?.length ?? 0) > 1,
    ),
  seat: c
    .optionalId()
    .test(
      "seat",
      "Choose the team or concept.",
      (v, x) => (x.parent.kind !== "lock" && x.parent.kind !== "forbidden") || !!v,
    ),
});
export const byId = yup.object({ id: c.id() });
export const teamSetup = yup
  .object({
    min: whole(1, 12).required(),
    max: whole(1, 12).required(),
    teams: whole(0, 60).default(0),
    conceptIds: ids(60),
    sectionIds: ids(12),
    weights: yup
      .object({
        idea: yup.number().min(0).required(),
        wish: yup.number().min(0).required(),
        skill: yup.number().min(0).required(),
        lone: yup.number().min(0).required(),
        repeat: yup.number().min(0).required(),
      })
      .required(),
  })
  .required();
export const teamPlan = yup.object({
  projectId: c.id(),
  name: c.text(80),
  seed: c.text(40),
  setup: teamSetup,
  assignment: yup.mixed<Record<string, string>>().required(),
});
export const teamConcept = yup.object({ id: c.id(), conceptId: c.optionalId() });
export const teamsByIdea = yup.object({ projectId: c.id(), sectionId: c.optionalId() });
export const drawSelectionOrder = yup.object({ projectId: c.id(), sectionId: c.optionalId(), seed: c.text(40) });
export const part = yup.object({
  teamId: c.id(),
  id: c.optionalId(),
  version: yup.number().integer().default(0),
  name: c.text(80),
  role: c.optionalText(40),
  owners: ids(12),
});

// Plan
export const sectionPattern = yup.object({
  projectId: c.id(),
  sectionId: c.id(),
  version: c.version(),
  pattern: pick("weekdays", "cycle").required(),
  days: yup.array(whole(1, 7).required()).default([]),
  double: yup.array(whole(1, 12).required()).default([]),
  cycleLength: whole(2, 12).default(2),
  meets: yup.array(whole(1, 12).required()).default([]),
  cycleStart: c.optionalDate(),
  startsOn: c.optionalDate(),
  endsOn: c.optionalDate(),
  eventOn: c.optionalDate(),
});
export const extraSession = yup.object({
  projectId: c.id(),
  sectionId: c.optionalId(),
  onDate: c.date(),
  reason: c.optionalText(200),
});
export const icsDaysOff = yup.object({
  projectId: c.id(),
  text: yup.string().max(3_000_000).required("Choose a calendar file."),
  sectionId: c.optionalId(),
  commit: yup.boolean().default(false),
});
export const milestoneDate = yup.object({ milestoneId: c.id(), sectionId: c.id(), dueOn: c.optionalDate() });
export const moveMilestone = yup.object({ id: c.id(), version: c.version(), dueOn: c.date() });
export const task = yup.object({
  projectId: c.id(),
  id: c.optionalId(),
  version: yup.number().integer().default(0),
  title: c.text(120),
  length: whole(1, 200).required(),
  notBefore: c.optionalDate(),
  deadline: c.optionalDate(),
  milestoneId: c.optionalId(),
  after: ids(40),
});
export const taskDone = yup.object({ id: c.id(), doneOn: c.optionalDate() });

// Gates, tools and notebook
export const gate = yup.object({
  milestoneId: c.id(),
  stage: pick("", "mock-up", "proof of concept", "prototype", "final").default(""),
});
export const gateItem = yup.object({
  milestoneId: c.id(),
  kind: pick("each", "team", "tool", "coverage").required(),
  label: c
    .optionalText(80)
    .test("label", "Say what is asked.", (v, x) => x.parent.kind === "tool" || x.parent.kind === "coverage" || !!v),
  needs: whole(0, 100).default(0),
  toolId: c.optionalId().test("tool", "Choose the tool.", (v, x) => x.parent.kind !== "tool" || !!v),
});
export const gateTick = yup.object({
  itemId: c.id(),
  teamId: c.optionalId(),
  personId: c.optionalId(),
  on: yup.boolean().required(),
});
export const gateSign = yup.object({ milestoneId: c.id(), teamId: c.id(), on: yup.boolean().required() });
export const tool = yup.object({ projectId: c.id(), name: c.text(80), caution: c.optionalText(400) });
export const toolSign = yup.object({ toolId: c.id(), personId: c.id(), on: yup.boolean().required() });
export const notebookEntry = yup.object({ id: c.id(), projectId: c.id(), personId: c.id(), text: c.text(8000) });
export const amendEntry = yup.object({ id: c.id(), version: c.version(), text: c.text(8000), reason: c.text(200) });
