"use client";

import { useState } from "react";
import { drawSelectionOrder, part, settings, teamConcept, teamConstraint } from "@/data/schemas/front";
import { shareSchools, teamSchools } from "@/ui/choices";
import { ActButton, ActionForm, ChoiceField, SelectField, TextField } from "@/ui/form";
import { buttonClass } from "@/ui/page";
import { useReady } from "@/ui/ready";
import {
  addConstraintAction,
  adoptTeamPlanAction,
  drawSelectionOrderAction,
  formByIdeaAction,
  joinTeamAction,
  removeConstraintAction,
  removePartAction,
  savePartAction,
  saveSettingsAction,
  saveTraitsAction,
  saveWishesAction,
  setTeamConceptAction,
  undoTeamPlanAction,
} from "./actions";

type Choice = { value: string; label: string };

export function SchoolForm({
  projectId,
  values,
}: {
  projectId: string;
  values: { teamSchool: string; teamMin: number; teamMax: number; shareSchool: string };
}) {
  return (
    <ActionForm
      schema={settings}
      action={saveSettingsAction}
      fixed={{ projectId }}
      defaults={values}
      submit="Save"
      look="plain"
      saved="Saved."
    >
      <SelectField name="teamSchool" label="How teams form" options={teamSchools} />
      <div className="grid grid-cols-2 gap-3">
        <TextField name="teamMin" label="Smallest team" type="number" />
        <TextField name="teamMax" label="Largest team" type="number" />
      </div>
      <SelectField name="shareSchool" label="Equal shares of the parts" options={shareSchools} />
    </ActionForm>
  );
}

export function ConstraintForm({ projectId, people, seats }: { projectId: string; people: Choice[]; seats: Choice[] }) {
  const [kind, setKind] = useState("apart");
  const [chosen, setChosen] = useState<string[]>([]);
  const [round, setRound] = useState(0);
  const seated = kind === "lock" || kind === "forbidden";
  return (
    <div className="grid gap-2">
      <label className="grid gap-1">
        <span className="text-[12.5px] font-[600]">Limit</span>
        <select className="input" value={kind} onChange={(e) => setKind(e.target.value)}>
          <option value="apart">kept apart</option>
          <option value="together">kept together</option>
          <option value="lock">locked seat in a team</option>
          <option value="forbidden">not in a team</option>
        </select>
      </label>
      <label className="grid gap-1">
        <span className="text-[12.5px] font-[600]">Add a student</span>
        <select
          className="input"
          value=""
          onChange={(e) => {
            if (e.target.value && !chosen.includes(e.target.value)) setChosen([...chosen, e.target.value]);
          }}
        >
          <option value="">choose</option>
          {people
            .filter((p) => !chosen.includes(p.value))
            .map((p) => (
              <option key={p.value} value={p.value}>
                {p.label}
              </option>
            ))}
        </select>
      </label>
      {chosen.length > 0 && (
        <p className="flex flex-wrap gap-2 text-sm">
          {chosen.map((c) => (
            <button
              key={c}
              type="button"
              className="underline decoration-line"
              title="Take out"
              onClick={() => setChosen(chosen.filter((x) => x !== c))}
            >
              {people.find((p) => p.value === c)?.label} ×
            </button>
          ))}
        </p>
      )}
      <ActionForm
        key={`${kind}${round}`}
        schema={teamConstraint}
        action={addConstraintAction}
        fixed={{ projectId }}
        defaults={{ seat: "" }}
        shape={(v) => ({ ...v, kind, people: chosen })}
        submit="Add the limit"
        look="plain"
        onDone={() => {
          setChosen([]);
          setRound(round + 1);
        }}
      >
        {seated && <SelectField name="seat" label="Team or concept" empty="choose" options={seats} />}
      </ActionForm>
    </div>
  );
}
export const RemoveConstraint = ({ id }: { id: string }) => (
  <ActButton action={removeConstraintAction} input={{ id }} look="quiet">
    remove
  </ActButton>
);

/** Skills from 0 to 10 and the marked group, for all students at once. */
export function TraitsForm({
  projectId,
  people,
  skills: given,
}: {
  projectId: string;
  people: { id: string; name: string; skills: Record<string, number>; marked: boolean }[];
  skills: string[];
}) {
  const ready = useReady();
  const [skills, setSkills] = useState(given.length ? given : ["making"]);
  const [rows, setRows] = useState(people);
  const [added, setAdded] = useState("");
  const set = (id: string, patch: Partial<(typeof rows)[number]>) =>
    setRows(rows.map((r) => (r.id === id ? { ...r, ...patch } : r)));
  return (
    <div className="grid gap-2">
      <p className="text-sm text-soft">
        Only instructors see this. The marked group is whoever should not be alone in a team; no reason is stored.
      </p>
      <div className="max-h-80 overflow-auto" tabIndex={0} role="region" aria-label="Skills">
        <table className="table">
          <thead>
            <tr>
              <th>Student</th>
              {skills.map((s) => (
                <th key={s} className="num">
                  {s}
                </th>
              ))}
              <th>Marked</th>
            </tr>
          </thead>
          <tbody>
            {rows.map((r) => (
              <tr key={r.id}>
                <td>{r.name}</td>
                {skills.map((s) => (
                  <td key={s} className="num">
                    <input
                      type="number"
                      min={0}
                      max={10}
                      disabled={!ready}
                      className="input ml-auto min-h-7 w-16 py-0.5"
                      aria-label={`${s} of ${r.name}`}
                      value={r.skills[s] ?? ""}
                      onChange={(e) => set(r.id, { skills: { ...r.skills, [s]: Number(e.target.value) } })}
                    />
                  </td>
                ))}
                <td>
                  <input
                    type="checkbox"
                    disabled={!ready}
                    className="accent-iron"
                    aria-label={`${r.name} is of the marked group`}
                    checked={r.marked}
                    onChange={(e) => set(r.id, { marked: e.target.checked })}
                  />
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <div className="flex flex-wrap items-end gap-3">
        <label className="grid gap-1 text-[12.5px] font-[600]">
          Another skill
          <input className="input w-32" value={added} onChange={(e) => setAdded(e.target.value)} />
        </label>
        <button
          type="button"
          className={buttonClass()}
          disabled={!added.trim() || skills.includes(added.trim())}
          onClick={() => {
            setSkills([...skills, added.trim()]);
            setAdded("");
          }}
        >
          Add
        </button>
        <ActButton
          key={JSON.stringify(rows).length}
          action={saveTraitsAction}
          input={{ projectId, rows: rows.map((r) => ({ personId: r.id, skills: r.skills, marked: r.marked })) }}
          look="main"
        >
          Save skills
        </ActButton>
      </div>
    </div>
  );
}

export const AdoptPlan = ({ id }: { id: string }) => (
  <ActButton
    action={adoptTeamPlanAction}
    input={{ id }}
    look="main"
    confirm="Students move into these teams; it can be undone."
  >
    Adopt
  </ActButton>
);
export const UndoPlan = ({ id }: { id: string }) => (
  <ActButton action={undoTeamPlanAction} input={{ id }} confirm="Everybody sits where they sat before.">
    Undo
  </ActButton>
);
export const ByIdea = ({ projectId }: { projectId: string }) => (
  <ActButton action={formByIdeaAction} input={{ projectId }}>
    A team for each concept that goes on
  </ActButton>
);

export function SelectionOrder({ projectId, sections, seed }: { projectId: string; sections: Choice[]; seed: string }) {
  return (
    <ActionForm
      inline
      schema={drawSelectionOrder}
      action={drawSelectionOrderAction}
      fixed={{ projectId }}
      defaults={{ sectionId: "", seed }}
      submit="Draw the order"
      look="plain"
    >
      {sections.length > 1 && <SelectField name="sectionId" label="Section" empty="all" options={sections} />}
      <TextField name="seed" label="Seed" className="w-28" />
    </ActionForm>
  );
}

export const ConceptOfTeam = ({
  id,
  conceptId,
  concepts,
}: {
  id: string;
  conceptId: string | null;
  concepts: Choice[];
}) => (
  <ActionForm
    inline
    schema={teamConcept}
    action={setTeamConceptAction}
    fixed={{ id }}
    defaults={{ conceptId: conceptId ?? "" }}
    submit="Set"
    look="plain"
  >
    <SelectField name="conceptId" label="Works on" empty="no concept" options={concepts} className="w-44" />
  </ActionForm>
);

export const JoinTeam = ({
  projectId,
  personId,
  teamId,
  full,
  mine,
}: {
  projectId: string;
  personId: string;
  teamId: string;
  full: boolean;
  mine: boolean;
}) =>
  mine ? (
    <ActButton action={joinTeamAction} input={{ projectId, personId }} look="quiet" confirm="You leave the team.">
      leave
    </ActButton>
  ) : full ? (
    <span className="text-sm text-soft">full</span>
  ) : (
    <ActButton action={joinTeamAction} input={{ projectId, personId, teamId }}>
      Join
    </ActButton>
  );

export function WishForm({
  projectId,
  personId,
  people,
  ideas,
  chosen,
}: {
  projectId: string;
  personId: string;
  people: Choice[];
  ideas: Choice[];
  chosen: { people: string[]; ideas: string[] };
}) {
  const [w, setW] = useState(chosen);
  const list = (key: "people" | "ideas", label: string, options: Choice[], most: number) => (
    <fieldset className="grid gap-1">
      <legend className="text-[12.5px] font-[600]">{label}</legend>
      <ol className="grid gap-1">
        {w[key].map((id, i) => (
          <li key={id} className="flex items-center gap-2">
            <span className="w-5 text-right text-soft">{i + 1}</span>
            <span className="grow">{options.find((o) => o.value === id)?.label}</span>
            {i > 0 && (
              <button
                type="button"
                className={buttonClass("quiet")}
                onClick={() => {
                  const n = [...w[key]];
                  [n[i - 1], n[i]] = [n[i]!, n[i - 1]!];
                  setW({ ...w, [key]: n });
                }}
              >
                up
              </button>
            )}
            <button
              type="button"
              className={buttonClass("quiet")}
              onClick={() => setW({ ...w, [key]: w[key].filter((x) => x !== id) })}
            >
              remove
            </button>
          </li>
        ))}
      </ol>
      {w[key].length < most && (
        <select
          className="input"
          aria-label={`Add: ${label}`}
          value=""
          onChange={(e) => {
            if (e.target.value) setW({ ...w, [key]: [...w[key], e.target.value] });
          }}
        >
          <option value="">add…</option>
          {options
            .filter((o) => !w[key].includes(o.value))
            .map((o) => (
              <option key={o.value} value={o.value}>
                {o.label}
              </option>
            ))}
        </select>
      )}
    </fieldset>
  );
  return (
    <div className="grid max-w-xl gap-4">
      {ideas.length > 0 && list("ideas", "Ideas I would like to work on, the dearest first", ideas, 5)}
      {list("people", "People I work well with", people, 4)}
      <p className="text-sm text-soft">
        Only your instructors see your wishes. They are weighed with everybody else's; not all can be met.
      </p>
      <ActButton key={JSON.stringify(w)} action={saveWishesAction} input={{ projectId, personId, ...w }} look="main">
        Save my wishes
      </ActButton>
    </div>
  );
}

export function PartForm({
  teamId,
  members,
  edit,
}: {
  teamId: string;
  members: Choice[];
  edit?: { id: string; version: number; name: string; role: string; owners: string[] };
}) {
  const [open, setOpen] = useState(!edit);
  if (!open)
    return (
      <button type="button" className={buttonClass("quiet")} onClick={() => setOpen(true)}>
        edit
      </button>
    );
  const { id, version, ...values } = edit ?? { id: undefined, version: 0, name: "", role: "", owners: [] as string[] };
  return (
    <ActionForm
      clear={!edit}
      schema={part}
      action={savePartAction}
      fixed={{ teamId, id, version }}
      defaults={values}
      submit={edit ? "Save" : "Add part"}
      look="plain"
      onDone={() => edit && setOpen(false)}
    >
      <div className="flex flex-wrap gap-3">
        <TextField name="name" label="Part" className="w-44" />
        <TextField name="role" label="Role that designs it" className="w-36" />
      </div>
      <ChoiceField name="owners" label="Who has it" options={members} />
    </ActionForm>
  );
}
export const RemovePart = ({ id }: { id: string }) => (
  <ActButton action={removePartAction} input={{ id }} look="quiet" confirm="The part goes.">
    remove
  </ActButton>
);
