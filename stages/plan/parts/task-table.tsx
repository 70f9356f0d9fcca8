"use client";

import { useState } from "react";
import { ActButton } from "@/ui/form/act-button";
import type { Option } from "@/ui/option";
import { buttonClass } from "@/ui/page";
import { finishTaskAction, removeTaskAction } from "../actions";
import { TaskForm, type TaskValues } from "./task-form";

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
  tasks: Option[];
  milestones: Option[];
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
