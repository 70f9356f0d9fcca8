"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import type { Option } from "@/ui/option";
import { moveStudentAction } from "../actions";

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
