"use client";

import { useSend } from "@/ui/form/send";
import type { Option } from "@/ui/option";
import { Select } from "@/ui/select";
import { moveStudentAction } from "../actions";

/** Puts a student into another team as soon as one is chosen; the role is saved by Enter or when its field is left. */
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
  const { send, note } = useSend(moveStudentAction);
  const move = (team: string, as: string) => send({ projectId, personId, teamId: team, role: as });
  return (
    <span className="flex flex-wrap items-center gap-1.5">
      {teamId && (
        <input
          aria-label={`Role of ${name}`}
          className="input min-h-7 w-[86px] px-1.5 py-0.5 text-sm"
          placeholder="role"
          defaultValue={role}
          onKeyDown={(e) => {
            if (e.key === "Enter") e.currentTarget.blur();
          }}
          onBlur={(e) => {
            if (e.target.value !== role) void move(teamId, e.target.value);
          }}
        />
      )}
      <Select
        aria-label={`Team of ${name}`}
        className="min-h-7 w-[104px] px-1.5 py-0.5 text-sm"
        value={teamId ?? ""}
        onChange={(team) => void move(team, teamId ? role : "")}
        empty="no team"
        options={teams}
      />
      {note && (
        <span role="alert" className="text-sm text-iron">
          {note}
        </span>
      )}
    </span>
  );
}
