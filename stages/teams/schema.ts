import * as yup from "yup";
import { constraintKind } from "@/core/vocabulary/teams";
import * as c from "@/platform/schema/fields";
import { ids, whole } from "@/platform/schema/fields";

// Teams
export const joinTeam = yup.object({ projectId: c.id(), teamId: c.optionalId(), personId: c.id() });

export const foundTeam = yup.object({ projectId: c.id(), personId: c.id(), name: c.text(60) });

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
  kind: c.oneOf(constraintKind).required(),
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

export const newTeam = yup.object({ projectId: c.id(), name: c.text(60), sectionId: c.optionalId() });

export const renameTeam = yup.object({ id: c.id(), version: c.version(), name: c.text(60) });

export const teamId = yup.object({ id: c.id() });

export const moveStudent = yup.object({
  projectId: c.id(),
  personId: c.id(),
  teamId: c.optionalId(),
  role: c.optionalText(60),
});

export const drawTeams = yup.object({
  projectId: c.id(),
  sectionId: c.id(),
  seed: c.text(40),
  min: yup.number().integer().min(1).max(12).required(),
  max: yup
    .number()
    .integer()
    .min(1)
    .max(12)
    .required()
    .test("order", "The largest size lies below the smallest.", (v, x) => !v || v >= x.parent.min),
});
