"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import { drawTeams, newTeam, renameTeam } from "@/data/schemas/work";
import { ActButton, ActionForm, SelectField, TextField } from "@/ui/form";
import { createTeamAction, drawTeamsAction, moveStudentAction, renameTeamAction, retireTeamAction } from "./actions";

type Option = { value: string; label: string };

export function NewTeamForm({ projectId, sections }: { projectId: string; sections: Option[] }) {
  return (
    <ActionForm
      inline
      clear
      schema={newTeam}
      action={createTeamAction}
      fixed={{ projectId }}
      defaults={{ name: "", sectionId: sections[0]?.value ?? "" }}
      submit="Add team"
      look="plain"
    >
      <TextField name="name" label="New team" className="w-44" />
      <SelectField name="sectionId" label="Section" options={sections} />
    </ActionForm>
  );
}

/** The seed is shown, and may be changed, before anything is drawn. */
export function DrawForm({ projectId, sections, seed }: { projectId: string; sections: Option[]; seed: string }) {
  return (
    <ActionForm
      inline
      schema={drawTeams}
      action={drawTeamsAction}
      fixed={{ projectId }}
      defaults={{ sectionId: sections[0]?.value ?? "", min: 3, max: 4, seed }}
      submit="Draw teams"
      look="main"
      saved="Drawn."
    >
      <SelectField name="sectionId" label="Section" options={sections} />
      <TextField name="min" label="Smallest" type="number" className="w-20" />
      <TextField name="max" label="Largest" type="number" className="w-20" />
      <TextField name="seed" label="Seed" className="w-28" />
    </ActionForm>
  );
}

export function RenameForm({ id, version, name }: { id: string; version: number; name: string }) {
  const [open, setOpen] = useState(false);
  if (!open)
    return (
      <span className="flex items-baseline gap-2">
        <span className="text-[15px] font-[650]">{name}</span>
        <button type="button" className="text-xs text-soft underline" onClick={() => setOpen(true)}>
          rename
        </button>
        <ActButton
          action={retireTeamAction}
          input={{ id }}
          look="quiet"
          confirm={`${name} leaves the project; its record stays.`}
        >
          <span className="text-xs">retire</span>
        </ActButton>
      </span>
    );
  return (
    <ActionForm
      inline
      schema={renameTeam}
      action={renameTeamAction}
      fixed={{ id, version }}
      defaults={{ name }}
      submit="Rename"
      look="plain"
      onDone={() => setOpen(false)}
    >
      <TextField name="name" label="Name" hideLabel className="w-36" />
    </ActionForm>
  );
}

/** Puts a student into another team as soon as one is chosen; the role is saved when its field is left. */
export function Placement({
  projectId,
  personId,
  teamId,
  role,
  teams,
  name,
}: {
  projectId: string;
  personId: string;
  teamId: string | null;
  role: string;
  teams: Option[];
  name: string;
}) {
  const router = useRouter();
  const [note, setNote] = useState("");
  const move = async (team: string, as: string) => {
    try {
      const r = await moveStudentAction({ projectId, personId, teamId: team, role: as });
      setNote(r.ok ? "" : r.message);
      router.refresh();
    } catch {
      setNote("The network did not answer.");
    }
  };
  return (
    <span className="flex flex-wrap items-center gap-1.5">
      {teamId && (
        <input
          aria-label={`Role of ${name}`}
          className="input min-h-7 w-[86px] px-1.5 py-0.5 text-sm"
          placeholder="role"
          defaultValue={role}
          onBlur={(e) => {
            if (e.target.value !== role) void move(teamId, e.target.value);
          }}
        />
      )}
      <select
        aria-label={`Team of ${name}`}
        className="input min-h-7 w-[94px] px-1 py-0.5 text-sm"
        value={teamId ?? ""}
        onChange={(e) => void move(e.target.value, teamId ? role : "")}
      >
        <option value="">no team</option>
        {teams.map((t) => (
          <option key={t.value} value={t.value}>
            {t.label}
          </option>
        ))}
      </select>
      {note && (
        <span role="alert" className="text-sm text-iron">
          {note}
        </span>
      )}
    </span>
  );
}
