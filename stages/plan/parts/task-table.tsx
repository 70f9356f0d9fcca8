"use client";

import { useState } from "react";
import { useDates } from "@/ui/dates";
import { ActButton } from "@/ui/form/act-button";
import { WithdrawButton } from "@/ui/form/withdraw-button";
import type { Option } from "@/ui/option";
import { buttonClass } from "@/ui/page";
import { DataTable } from "@/ui/table";
import { finishTaskAction, removeTaskAction } from "../actions";
import type { TaskLine } from "../view/tasks";
import { TaskForm } from "./task-form";

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
  rows: readonly TaskLine[];
  tasks: Option[];
  milestones: Option[];
  today: string;
  staff: boolean;
}) {
  const { shortDate } = useDates();
  const [open, setOpen] = useState("");
  const nameOf = new Map([...tasks, ...milestones].map((o) => [o.value, o.label]));
  return (
    <DataTable
      caption="Tasks"
      columns={[
        { key: "task", text: "Task", className: "font-[600]" },
        { key: "length", text: "Sessions", num: true },
        { key: "when", text: "When", className: "whitespace-nowrap" },
        { key: "after", text: "After", className: "max-w-72 wrap-anywhere" },
        { key: "leads", text: "Leads to", className: "max-w-72 wrap-anywhere" },
        { key: "slack", text: "Slack", num: true },
        ...(staff ? [{ key: "act", text: "", className: "no-print whitespace-nowrap" }] : []),
      ]}
      rows={rows.map((r) => ({
        id: r.id,
        className: r.doneOn ? "text-soft" : undefined,
        detail: open === r.id && (
          <div className="px-3 py-2">
            <TaskForm projectId={projectId} tasks={tasks} milestones={milestones} edit={r} onDone={() => setOpen("")} />
          </div>
        ),
        cells: {
          task: r.title,
          length: r.length,
          when: {
            value: r.begins,
            show: (
              <>
                {r.begins ? shortDate(r.begins) : "after the last session"}
                {r.ends && r.ends !== r.begins && ` to ${shortDate(r.ends)}`}
                {r.overdue && <span className="text-iron"> overdue, from today on</span>}
                {r.late && <span className="text-iron"> too late</span>}
              </>
            ),
          },
          after: r.after.flatMap((a) => nameOf.get(a) ?? []).join(", ") || null,
          leads: nameOf.get(r.milestoneId) ?? null,
          slack: {
            value: r.doneOn ? null : r.slack,
            show: r.doneOn ? (
              "done"
            ) : (
              <span className={r.critical ? "font-[650] text-iron" : undefined}>{r.slack}</span>
            ),
          },
          act: staff
            ? {
                value: "",
                show: (
                  <span className="flex gap-2">
                    <ActButton
                      action={finishTaskAction}
                      input={{ id: r.id, doneOn: r.doneOn ? "" : today }}
                      look="quiet"
                    >
                      {r.doneOn ? "not done" : "done"}
                    </ActButton>
                    <button
                      type="button"
                      className={buttonClass("quiet")}
                      aria-expanded={open === r.id}
                      onClick={() => setOpen(open === r.id ? "" : r.id)}
                    >
                      edit
                    </button>
                    <WithdrawButton action={removeTaskAction} id={r.id}>
                      remove
                    </WithdrawButton>
                  </span>
                ),
              }
            : null,
        },
      }))}
    />
  );
}
