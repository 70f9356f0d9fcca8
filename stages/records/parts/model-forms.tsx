"use client";

import { ActButton } from "@/ui/form/act-button";
import { fieldsOf } from "@/ui/form/fields-of";
import { UnfoldForm } from "@/ui/form/unfold-form";
import { WithdrawButton } from "@/ui/form/withdraw-button";
import { useNewId } from "@/ui/new-id";
import type { Option } from "@/ui/option";
import {
  lendArtefactAction,
  returnArtefactAction,
  saveArtefactAction,
  scrapArtefactAction,
  withdrawArtefactAction,
  withdrawLoanAction,
} from "../actions";
import { artefact, lendArtefact, scrapArtefact } from "../schema-kept";

const { TextField, SelectField } = fieldsOf(artefact);
const lend = fieldsOf(lendArtefact);
const scrap = fieldsOf(scrapArtefact);

const Fields = ({ builds }: { builds: readonly Option[] }) => (
  <>
    <TextField name="name" label="Model" />
    <SelectField name="buildId" label="It is" options={[...builds]} empty="no build of the record" />
    <TextField name="place" label="Where it stands" hint="Cabinet 2, top shelf" />
    <TextField name="note" label="Note" hint="What to look at: the worn seal on the left cylinder." />
  </>
);

/** A model more on the shelf. */
export function NewModel({ projectId, builds }: { projectId: string; builds: readonly Option[] }) {
  const [id, renew] = useNewId();
  return (
    <UnfoldForm
      key={id}
      label="Keep a model"
      buttonLook="plain"
      schema={artefact}
      action={saveArtefactAction}
      fixed={{ id, projectId }}
      defaults={{ name: "", buildId: "", place: "", note: "" }}
      submit="Keep it"
      className="grid max-w-md gap-2"
      onDone={renew}
    >
      <Fields builds={builds} />
    </UnfoldForm>
  );
}

/** Corrects what is written of a model. */
export const EditModel = ({
  model,
  builds,
}: {
  model: {
    readonly id: string;
    readonly projectId: string;
    readonly version: number;
    readonly name: string;
    readonly buildId: string | null;
    readonly place: string;
    readonly note: string;
  };
  builds: readonly Option[];
}) => (
  <UnfoldForm
    label={
      <>
        correct<span className="sr-only"> {model.name}</span>
      </>
    }
    beside={
      <WithdrawButton action={withdrawArtefactAction} id={model.id} name={model.name}>
        take out
      </WithdrawButton>
    }
    schema={artefact}
    action={saveArtefactAction}
    fixed={{ id: model.id, projectId: model.projectId, version: model.version }}
    defaults={{ name: model.name, buildId: model.buildId ?? "", place: model.place, note: model.note }}
    submit="Save"
    className="grid max-w-md gap-2"
  >
    <Fields builds={builds} />
  </UnfoldForm>
);

/** Lends a model until a day. */
export function LendModel({ artefactId, name }: { artefactId: string; name: string }) {
  const [id, renew] = useNewId();
  return (
    <UnfoldForm
      key={id}
      label={
        <>
          lend<span className="sr-only"> {name}</span>
        </>
      }
      schema={lendArtefact}
      action={lendArtefactAction}
      fixed={{ id, artefactId }}
      defaults={{ lentTo: "", dueOn: "" }}
      submit="Lend it"
      className="grid max-w-xs gap-2"
      onDone={renew}
    >
      <lend.TextField name="lentTo" label="To" hint="A class, a colleague, the library: no student's name is needed." />
      <lend.TextField name="dueOn" label="Due back" type="date" />
    </UnfoldForm>
  );
}

/** A loan is over; or it is not, after all. */
export const LoanButtons = ({
  id,
  version,
  out,
  name,
}: {
  id: string;
  version: number;
  out: boolean;
  name: string;
}) => (
  <span className="no-print inline-flex flex-wrap items-baseline gap-x-2.5">
    <ActButton action={returnArtefactAction} input={{ id, version, back: out }} look={out ? "plain" : "quiet"}>
      {out ? "It is back" : "not back"}
      <span className="sr-only"> {name}</span>
    </ActButton>
    <WithdrawButton action={withdrawLoanAction} id={id} name={`the loan of ${name}`}>
      take out the loan
    </WithdrawButton>
  </span>
);

/** A model is no more; the reason stays. */
export const ScrapModel = ({ id, version, name }: { id: string; version: number; name: string }) => (
  <UnfoldForm
    label={
      <>
        scrap<span className="sr-only"> {name}</span>
      </>
    }
    schema={scrapArtefact}
    action={scrapArtefactAction}
    fixed={{ id, version }}
    defaults={{ why: "" }}
    submit="It is scrapped"
    className="grid max-w-xs gap-2"
  >
    <scrap.TextField name="why" label="What became of it" hint="Taken apart for its valves." />
  </UnfoldForm>
);

/** What was scrapped by mistake is there again. */
export const UnscrapModel = ({ id, version, name }: { id: string; version: number; name: string }) => (
  <ActButton action={scrapArtefactAction} input={{ id, version, why: "" }} look="quiet">
    it is still there<span className="sr-only">: {name}</span>
  </ActButton>
);
