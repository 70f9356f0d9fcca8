import "server-only";
import { withdrawal } from "@/platform/withdraw/withdrawal";
import { recordActs } from "./acts";
import { ofLoan } from "./commands/artefacts";
import { ofGuide, ofStep } from "./commands/guides";

/** A kept model that was written down by mistake; with its loans. */
export const withdrawArtefact = withdrawal({
  name: "withdrawArtefact",
  kind: "kept model",
  table: "artefact",
  act: recordActs.shelve,
  label: "x.name",
});

export const withdrawLoan = withdrawal({
  name: "withdrawLoan",
  kind: "loan",
  table: "artefact_loan",
  act: recordActs.shelve,
  subject: ofLoan,
  label: "(SELECT name FROM artefact WHERE id = x.artefact_id)",
});

/** A guide goes with its steps. */
export const withdrawGuide = withdrawal({
  name: "withdrawGuide",
  kind: "build guide",
  table: "build_guide",
  act: recordActs.guide,
  subject: ofGuide,
  label: "x.title",
  needsReason: true,
});

export const withdrawGuideStep = withdrawal({
  name: "withdrawGuideStep",
  kind: "step of a guide",
  table: "guide_step",
  act: recordActs.guide,
  subject: ofStep,
  label: "x.what",
});

export const withdrawHonour = withdrawal({
  name: "withdrawHonour",
  kind: "award",
  table: "honour",
  act: recordActs.honour,
  label: "x.title",
});
