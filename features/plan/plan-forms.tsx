"use client";

import { useState } from "react";
import { extraSession, gateItem, milestoneDate, sectionPattern, settings, task, tool } from "@/data/schemas/front";
import { conceptSchools, gateStrictnesses, shareSchools, teamSchools, weekdays } from "@/ui/choices";
import { longDate } from "@/ui/date";
import { ActButton, ActionForm, ChoiceField, SelectField, TextArea, TextField } from "@/ui/form";
import { buttonClass } from "@/ui/page";
import { useFormContext } from "react-hook-form";
import {
  addExtraSessionAction,
  addGateItemAction,
  finishTaskAction,
  importDaysOffAction,
  removeExtraSessionAction,
  removeGateItemAction,
  removeTaskAction,
  saveSectionPatternAction,
  saveSettingsAction,
  saveTaskAction,
  saveToolAction,
  setGateAction,
  setMilestoneDateAction,
  signGateAction,
  signToolAction,
  tickGateAction,
} from "./actions";

type Choice = { value: string; label: string };
export interface TaskValues {
  id: string;
  version: number;
  title: string;
  length: number;
  notBefore: string;
  deadline: string;
  milestoneId: string;
  after: string[];
}

export function TaskForm({
  projectId,
  tasks,
  milestones,
  edit,
  onDone,
}: {
  projectId: string;
  tasks: Choice[];
  milestones: Choice[];
  edit?: TaskValues;
  onDone?: () => void;
}) {
  const { id, version, ...values } = edit ?? {
    id: undefined,
    version: 0,
    title: "",
    length: 1,
    notBefore: "",
    deadline: "",
    milestoneId: "",
    after: [] as string[],
  };
  return (
    <ActionForm
      clear={!edit}
      schema={task}
      action={saveTaskAction}
      fixed={{ projectId, id, version }}
      defaults={values}
      submit={edit ? "Save" : "Add task"}
      look="plain"
      onDone={onDone}
      cancel={
        onDone && (
          <button type="button" className={buttonClass("quiet")} onClick={onDone}>
            Leave
          </button>
        )
      }
    >
      <div className="flex flex-wrap gap-3">
        <TextField name="title" label="Task" className="w-52" />
        <TextField name="length" label="Sessions" type="number" className="w-20" />
        <SelectField name="milestoneId" label="Leads to" empty="no milestone" options={milestones} className="w-44" />
        <TextField name="notBefore" label="Not before" type="date" className="w-38" />
        <TextField name="deadline" label="Deadline" type="date" className="w-38" />
      </div>
      {tasks.length + milestones.length > 0 && (
        <ChoiceField
          name="after"
          label="Begins after"
          options={[...tasks, ...milestones].filter((t) => t.value !== id)}
        />
      )}
    </ActionForm>
  );
}

/** The chart's table twin: every task with its dates in words, to edit, finish or remove. */
export function TaskTable({
  projectId,
  rows,
  tasks,
  milestones,
  today,
  staff,
}: {
  projectId: string;
  rows: (TaskValues & { when: string; slack: number; critical: boolean; doneOn: string | null; late: boolean })[];
  tasks: Choice[];
  milestones: Choice[];
  today: string;
  staff: boolean;
}) {
  const [open, setOpen] = useState("");
  return (
    <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Tasks">
      <table className="table">
        <thead>
          <tr>
            <th>Task</th>
            <th className="num">Sessions</th>
            <th>When</th>
            <th>After</th>
            <th>Leads to</th>
            <th className="num">Slack</th>
            <th />
          </tr>
        </thead>
        <tbody>
          {rows.map((r) =>
            open === r.id ? (
              <tr key={r.id}>
                <td colSpan={7}>
                  <TaskForm
                    projectId={projectId}
                    tasks={tasks}
                    milestones={milestones}
                    edit={r}
                    onDone={() => setOpen("")}
                  />
                </td>
              </tr>
            ) : (
              <tr key={r.id} className={r.doneOn ? "text-soft" : undefined}>
                <td className="font-[600]">{r.title}</td>
                <td className="num">{r.length}</td>
                <td className="whitespace-nowrap">
                  {r.when}
                  {r.late && <span className="text-iron"> too late</span>}
                </td>
                <td className="text-sm">
                  {r.after
                    .map((a) => [...tasks, ...milestones].find((t) => t.value === a)?.label)
                    .filter(Boolean)
                    .join(", ") || "–"}
                </td>
                <td className="text-sm">{milestones.find((m) => m.value === r.milestoneId)?.label ?? "–"}</td>
                <td className="num">
                  {r.doneOn ? (
                    "done"
                  ) : (
                    <span className={r.critical ? "font-[650] text-iron" : undefined}>{r.slack}</span>
                  )}
                </td>
                <td className="no-print whitespace-nowrap">
                  {staff && (
                    <span className="flex gap-2">
                      <ActButton
                        action={finishTaskAction}
                        input={{ id: r.id, doneOn: r.doneOn ? "" : today }}
                        look="quiet"
                      >
                        {r.doneOn ? "not done" : "done"}
                      </ActButton>
                      <button type="button" className={buttonClass("quiet")} onClick={() => setOpen(r.id)}>
                        edit
                      </button>
                      <ActButton action={removeTaskAction} input={{ id: r.id }} look="quiet" confirm="The task goes.">
                        remove
                      </ActButton>
                    </span>
                  )}
                </td>
              </tr>
            ),
          )}
        </tbody>
      </table>
    </div>
  );
}

export const MilestoneDateForm = ({
  milestoneId,
  sectionId,
  dueOn,
  label,
}: {
  milestoneId: string;
  sectionId: string;
  dueOn: string;
  label: string;
}) => (
  <ActionForm
    inline
    schema={milestoneDate}
    action={setMilestoneDateAction}
    fixed={{ milestoneId, sectionId }}
    defaults={{ dueOn }}
    submit="Set"
    look="plain"
  >
    <TextField name="dueOn" label={label} type="date" className="w-38" />
  </ActionForm>
);

function PatternFields() {
  const form = useFormContext();
  const cycle = form.watch("pattern") === "cycle";
  const length = Number(form.watch("cycleLength")) || 2;
  const days = Array.from({ length: Math.min(12, length) }, (_, i) => ({
    value: String(i + 1),
    label: `day ${i + 1}`,
  }));
  return (
    <>
      <SelectField
        name="pattern"
        label="Meets by"
        options={[
          { value: "weekdays", label: "weekdays" },
          { value: "cycle", label: "a cycle of school days (alternating: a cycle of 2)" },
        ]}
      />
      {cycle ? (
        <>
          <div className="grid gap-3 sm:grid-cols-2">
            <TextField name="cycleLength" label="Days in the cycle" type="number" />
            <TextField name="cycleStart" label="Day 1 falls on" type="date" />
          </div>
          <ChoiceField name="meets" label="Meets on" numeric options={days} />
          <ChoiceField name="double" label="Double period on" numeric options={days} />
        </>
      ) : (
        <>
          <ChoiceField name="days" label="Meets on" numeric options={weekdays} />
          <ChoiceField
            name="double"
            label="Double period on"
            numeric
            options={weekdays}
            hint="A double period counts as two sessions."
          />
        </>
      )}
      <div className="grid gap-3 sm:grid-cols-3">
        <TextField name="startsOn" label="Own first day" type="date" />
        <TextField name="endsOn" label="Own last day" type="date" />
        <TextField name="eventOn" label="Own event" type="date" hint="empty: the project's" />
      </div>
    </>
  );
}

export function PatternForm({
  projectId,
  sectionId,
  version,
  values,
}: {
  projectId: string;
  sectionId: string;
  version: number;
  values: Record<string, unknown>;
}) {
  return (
    <ActionForm
      schema={sectionPattern}
      action={saveSectionPatternAction}
      fixed={{ projectId, sectionId, version }}
      defaults={values}
      submit="Save the pattern"
      look="plain"
      saved="Saved."
    >
      <PatternFields />
    </ActionForm>
  );
}

export const ExtraForm = ({ projectId, sections }: { projectId: string; sections: Choice[] }) => (
  <ActionForm
    clear
    schema={extraSession}
    action={addExtraSessionAction}
    fixed={{ projectId }}
    defaults={{ onDate: "", sectionId: "", reason: "" }}
    submit="Add the session"
    look="plain"
  >
    <TextField name="onDate" label="Extra session on" type="date" />
    <SelectField name="sectionId" label="For" empty="all sections" options={sections} />
    <TextField name="reason" label="Why" />
  </ActionForm>
);
export const RemoveExtra = ({ id }: { id: string }) => (
  <ActButton action={removeExtraSessionAction} input={{ id }} look="quiet">
    remove
  </ActButton>
);

/**
 * Days off from a calendar file: what it holds is shown, and what cannot be read is named, before anything is taken in.
 */
export function IcsImport({ projectId, sections }: { projectId: string; sections: Choice[] }) {
  const [text, setText] = useState("");
  const [section, setSection] = useState("");
  const [seen, setSeen] = useState<{
    days: { date: string; reason: string }[];
    problems: string[];
    outside: number;
  } | null>(null);
  const [note, setNote] = useState("");
  const send = async (content: string, commit: boolean) => {
    try {
      const r = await importDaysOffAction({ projectId, text: content, sectionId: section, commit });
      if (!r.ok) return setNote(r.message);
      setSeen(commit ? null : r.value);
      setNote(
        commit
          ? `${r.value.written} days off were added` +
              (r.value.written < r.value.days.length
                ? `; ${r.value.days.length - r.value.written} stood here already`
                : "") +
              "."
          : "",
      );
    } catch {
      setNote("The network did not answer. Choose the file again.");
    }
  };
  return (
    <div className="grid gap-2">
      <label className="grid gap-1 text-[12.5px] font-[600]">
        Calendar file (ICS)
        <input
          type="file"
          accept=".ics,text/calendar"
          className="text-sm font-normal"
          onChange={async (e) => {
            const f = e.target.files?.[0];
            if (!f) return;
            const t = await f.text();
            setText(t);
            void send(t, false);
          }}
        />
      </label>
      <label className="grid gap-1 text-[12.5px] font-[600]">
        For
        <select className="input" value={section} onChange={(e) => setSection(e.target.value)}>
          <option value="">all sections</option>
          {sections.map((s) => (
            <option key={s.value} value={s.value}>
              {s.label}
            </option>
          ))}
        </select>
      </label>
      {seen && (
        <>
          <p className="text-sm">
            {seen.days.length} days off within the project{seen.outside > 0 && `, ${seen.outside} entries outside it`}.
          </p>
          <ul className="max-h-40 overflow-y-auto text-sm">
            {seen.days.map((d) => (
              <li key={d.date}>
                {longDate(d.date)} <span className="text-soft">{d.reason}</span>
              </li>
            ))}
          </ul>
          {seen.problems.map((p) => (
            <p key={p} className="text-sm text-iron">
              {p}
            </p>
          ))}
          {seen.days.length > 0 && (
            <button type="button" className={buttonClass("main")} onClick={() => send(text, true)}>
              Take in {seen.days.length} days off
            </button>
          )}
        </>
      )}
      <p role="status" className="text-sm">
        {note}
      </p>
    </div>
  );
}

// Gates --------------------------------------------------------------------------------------------------------------

export const StrictnessForm = ({ projectId, value }: { projectId: string; value: string }) => (
  <ActionForm
    schema={settings}
    action={saveSettingsAction}
    fixed={{ projectId }}
    defaults={{ gateStrictness: value }}
    submit="Save"
    look="plain"
    saved="Saved."
  >
    <SelectField
      name="gateStrictness"
      label="Gate before material"
      options={gateStrictnesses}
      hint="Warning teaches without standing in the way; blocking saves the dear material; none lets hands think first."
    />
  </ActionForm>
);
/** Where good instructors differ: each choice with its reason. */
export const SchoolsForm = ({ projectId, values }: { projectId: string; values: Record<string, string | number> }) => (
  <ActionForm
    schema={settings}
    action={saveSettingsAction}
    fixed={{ projectId }}
    defaults={values}
    submit="Keep these schools"
    saved="Kept."
    className="grid gap-4"
  >
    <SelectField
      name="conceptSchool"
      label="Who selects concepts"
      options={conceptSchools}
      hint={
        "The client has to live with it; a panel knows more; a vote makes it the class's own; a matrix says " +
        "what mattered. A must that is broken is always shown."
      }
    />
    <SelectField
      name="teamSchool"
      label="When and how teams form"
      options={teamSchools}
      hint={
        "An idea carries its authors; a draw is nobody's fault; choice makes teams willing; assigning and " +
        "the solver leave nobody over."
      }
    />
    <div className="grid grid-cols-2 gap-4">
      <TextField name="teamMin" label="Smallest team" type="number" />
      <TextField name="teamMax" label="Largest team" type="number" />
    </div>
    <SelectField
      name="gateStrictness"
      label="Gate before material"
      options={gateStrictnesses}
      hint="Warning teaches without standing in the way; blocking saves the dear material; none lets hands think first."
    />
    <SelectField
      name="shareSchool"
      label="Equal shares"
      options={shareSchools}
      hint="Counting is fair to see; roles let each do what they are good at."
    />
  </ActionForm>
);
export function GateForm({ milestoneId, stage }: { milestoneId: string; stage: string }) {
  return (
    <span className="flex flex-wrap gap-2">
      {stage ? (
        <ActButton
          action={setGateAction}
          input={{ milestoneId, stage: "" }}
          look="quiet"
          confirm="It becomes a plain milestone; its checklist is kept."
        >
          no gate
        </ActButton>
      ) : (
        (["mock-up", "proof of concept", "prototype", "final"] as const).map((s) => (
          <ActButton key={s} action={setGateAction} input={{ milestoneId, stage: s }}>
            {s}
          </ActButton>
        ))
      )}
    </span>
  );
}

function ItemFields({ tools }: { tools: Choice[] }) {
  const form = useFormContext();
  const kind = String(form.watch("kind"));
  return (
    <>
      <SelectField
        name="kind"
        label="Asked for"
        options={[
          { value: "each", label: "from every member" },
          { value: "team", label: "from the team" },
          { value: "tool", label: "tool sign-off" },
          { value: "coverage", label: "musts answered" },
        ]}
        className="w-40"
      />
      {kind === "tool" ? (
        <>
          <SelectField name="toolId" label="Tool" empty="choose" options={tools} className="w-44" />
          <TextField name="needs" label="Members signed (0: all)" type="number" className="w-36" />
        </>
      ) : kind === "coverage" ? (
        <TextField name="needs" label="Percent of musts" type="number" className="w-32" />
      ) : (
        <TextField name="label" label="What" className="w-56" />
      )}
    </>
  );
}
export const GateItemForm = ({ milestoneId, tools }: { milestoneId: string; tools: Choice[] }) => (
  <ActionForm
    inline
    clear
    schema={gateItem}
    action={addGateItemAction}
    fixed={{ milestoneId }}
    defaults={{ kind: "each", label: "", needs: 0, toolId: "" }}
    submit="Add to the checklist"
    look="plain"
  >
    <ItemFields tools={tools} />
  </ActionForm>
);
export const RemoveItem = ({ id }: { id: string }) => (
  <ActButton action={removeGateItemAction} input={{ id }} look="quiet" confirm="The line goes.">
    remove
  </ActButton>
);
export const SignGate = ({
  milestoneId,
  teamId,
  signed,
  missing,
}: {
  milestoneId: string;
  teamId: string;
  signed: boolean;
  missing: number;
}) =>
  signed ? (
    <ActButton
      action={signGateAction}
      input={{ milestoneId, teamId, on: false }}
      look="quiet"
      confirm="The signature goes."
    >
      take back
    </ActButton>
  ) : (
    <ActButton
      action={signGateAction}
      input={{ milestoneId, teamId, on: true }}
      look={missing ? "plain" : "main"}
      confirm={
        missing
          ? `${missing} ${missing === 1 ? "line is" : "lines are"} not there yet; this is written beside your ` +
            "signature."
          : undefined
      }
    >
      Sign
    </ActButton>
  );
export const Tick = ({
  itemId,
  teamId,
  personId,
  on,
  label,
}: {
  itemId: string;
  teamId?: string;
  personId?: string;
  on: boolean;
  label: string;
}) => (
  <ActButton action={tickGateAction} input={{ itemId, teamId, personId, on: !on }} look="quiet">
    {on ? personId ? <span className="text-moss">{label}: in</span> : "take back" : label}
  </ActButton>
);

export const ToolForm = ({ projectId }: { projectId: string }) => (
  <ActionForm
    clear
    schema={tool}
    action={saveToolAction}
    fixed={{ projectId }}
    defaults={{ name: "", caution: "" }}
    submit="Add tool"
    look="plain"
  >
    <TextField name="name" label="Tool" />
    <TextArea
      name="caution"
      label="Caution"
      rows={2}
      hint="Shown where it matters. The school's rules and its trained staff decide."
    />
  </ActionForm>
);
export const SignTool = ({
  toolId,
  personId,
  on,
  name,
}: {
  toolId: string;
  personId: string;
  on: boolean;
  name: string;
}) => (
  <ActButton action={signToolAction} input={{ toolId, personId, on: !on }} look="quiet">
    {on ? <span className="text-moss">{name}: signed</span> : name}
  </ActButton>
);
