"use client";

import { useState } from "react";
import { Checkbox } from "@/ui/checkbox";
import { ActButton } from "@/ui/form/act-button";
import { buttonClass } from "@/ui/page";
import { useReady } from "@/ui/ready";
import { saveTraitsAction } from "../actions";

/** The skills with one as typed; an empty field says nothing of it. */
function withSkill(skills: Record<string, number>, skill: string, typed: string): Record<string, number> {
  const { [skill]: _, ...others } = skills;
  return typed === "" ? others : { ...others, [skill]: Number(typed) };
}

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
                      onChange={(e) => set(r.id, { skills: withSkill(r.skills, s, e.target.value) })}
                    />
                  </td>
                ))}
                <td>
                  <Checkbox
                    disabled={!ready}
                    aria-label={`${r.name} is of the marked group`}
                    checked={r.marked}
                    onChange={(marked) => set(r.id, { marked })}
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
