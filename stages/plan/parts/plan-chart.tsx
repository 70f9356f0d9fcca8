"use client";

import dynamic from "next/dynamic";
import { useEffect, useRef, useState } from "react";
import { countTasks, type DatedTask, replayLost, scheduleTasks } from "@/core/sessions/network";
import { type ClassSession, sessionsHeld } from "@/core/sessions/sessions";
import { useSend } from "@/ui/form/send";
import { useRefresh } from "@/ui/refresh";
import { moveMilestoneAction, saveTaskAction } from "../actions";
import { MilestoneLine } from "./chart-milestone";
import { type ChartMilestone, type ChartTask, cellIn, head, lineTop, row, x } from "./chart-shape";
import { TaskLine } from "./chart-task";
import { LostDays } from "./lost-days";

/** The row of sessions, loaded once the chart stands. */
const ChartSessions = dynamic(() => import("./chart-sessions").then((m) => m.ChartSessions), { ssr: false });

const unheard = "The network did not answer. The plan is as it was.";

/**
 * The plan as strata: a bed a task, laid over its class sessions; the ground over which it may slip is open, the chain
 * that binds runs through the beds as one seam, and milestones are pegs.
 * A bed is moved by dragging it or by the arrow keys, made longer by its right end or Shift and arrows. Lost days are
 * tried out before they happen.
 */
export function PlanChart({
  projectId,
  tasks,
  milestones,
  network,
  sessions,
  event,
  today,
  staff,
}: {
  projectId: string;
  tasks: ChartTask[];
  milestones: ChartMilestone[];
  network: DatedTask[];
  sessions: ClassSession[];
  event: string;
  today: string;
  staff: boolean;
}) {
  const refresh = useRefresh();
  const task = useSend(saveTaskAction, unheard);
  const milestone = useSend(moveMilestoneAction, unheard);
  const [lost, setLost] = useState<string[]>([]);
  const [room, setRoom] = useState(1000);
  const ground = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (!ground.current) return;
    const watch = new ResizeObserver(([e]) => setRoom(e!.contentRect.width));
    watch.observe(ground.current);
    return () => watch.disconnect();
  }, []);
  const past = sessions.filter((s) => s.date < today).length;
  const plan = scheduleTasks(countTasks(network, sessions), sessionsHeld(sessions, event), past);
  if (!plan.ok)
    return <p className="text-iron">These wait for each other: {plan.cycle.join(", ")}. Take one of the links out.</p>;
  const at = new Map(plan.tasks.map((t) => [t.id, t]));
  const held = sessionsHeld(sessions, today);
  const order = [...tasks].sort(
    (a, b) => at.get(a.id)!.early - at.get(b.id)!.early || at.get(a.id)!.slack - at.get(b.id)!.slack,
  );
  const lines = [
    ...order.map((t) => ({ kind: "task" as const, t })),
    ...milestones.map((m) => ({ kind: "milestone" as const, m })),
  ];
  const slips = lost.length ? replayLost(network, sessions, lost, event) : [];
  const title = new Map([...tasks, ...milestones].map((t) => [t.id, t.title]));
  const chain = plan.chain.flatMap((id) => title.get(id) ?? []);
  const overdue = tasks.filter((t) => at.get(t.id)!.overdue).map((t) => t.title);
  const least = Math.min(0, ...plan.tasks.filter((t) => t.critical).map((t) => t.slack));
  const spare = Math.max(0, plan.tasks.find((t) => t.critical)?.slack ?? 0);
  const cell = cellIn(room, sessions.length);
  const width = x(sessions.length, cell) + 4;
  // From the end of one link of the chain to the next, along the foot of its bed.
  const links = plan.chain.flatMap((id) => {
    const line = order.findIndex((t) => t.id === id);
    return line < 0 ? [] : [{ line, ...at.get(id)! }];
  });
  const seam = links
    .map((l, i) => `${i ? "L" : "M"}${x(l.early, cell)} ${lineTop(l.line) + row - 1.5}H${x(l.earlyEnd, cell)}`)
    .join("");

  /** One write at a time; after one that was refused, the plan is shown as it stands now. */
  const send = async <T,>(to: { send: (input: unknown) => Promise<{ ok: boolean } | null> }, input: T) => {
    if (task.busy || milestone.busy) return;
    task.setNote("");
    milestone.setNote("");
    if ((await to.send(input))?.ok === false) refresh();
  };
  const save = (t: ChartTask, patch: Partial<ChartTask>) =>
    send(task, {
      projectId,
      id: t.id,
      version: t.version,
      title: t.title,
      length: patch.length ?? t.length,
      notBefore: patch.notBefore === undefined ? (t.notBefore ?? "") : (patch.notBefore ?? ""),
      deadline: t.deadline ?? "",
      milestoneId: t.milestoneId ?? "",
      after: t.after,
    });
  const move = (t: ChartTask, by: number) => {
    const to = Math.max(0, Math.min(sessions.length - 1, at.get(t.id)!.early + by));
    const earliest = scheduleTasks(
      countTasks(
        network.map((x) => (x.id === t.id ? { ...x, notBefore: null } : x)),
        sessions,
      ),
      sessionsHeld(sessions, event),
      past,
    );
    const free = earliest.ok ? earliest.tasks.find((x) => x.id === t.id)!.early : 0;
    if (to < free)
      return task.setNote(
        `“${t.title}” cannot begin before session ${free + 1}: ` +
          `${t.after.flatMap((a) => title.get(a) ?? []).join(", ") || "the project begins then"} comes first.`,
      );
    return save(t, { notBefore: to <= free ? null : sessions[to]!.date });
  };
  const stretch = (t: ChartTask, by: number) => save(t, { length: Math.max(1, t.length + by) });
  const moveMilestone = (m: ChartMilestone, by: number) => {
    const i = Math.max(0, Math.min(sessions.length - 1, sessionsHeld(sessions, m.dueOn) - 1 + by));
    return send(milestone, { id: m.id, version: m.version, dueOn: sessions[i]!.date });
  };
  const height = lineTop(lines.length) + row;
  return (
    <div>
      <p className="mb-1.5 max-w-[90ch]">
        {tasks.length === 0 ? (
          "No task yet."
        ) : (
          <>
            The plan takes {plan.takes} of {sessionsHeld(sessions, event)} sessions until the event.{" "}
            {least < 0 ? (
              <strong className="font-[650] text-iron">
                It is {-least} {least === -1 ? "session" : "sessions"} too long:{" "}
              </strong>
            ) : (
              "The tightest chain is "
            )}
            {chain.join(" → ")}
            {least >= 0 && chain.length > 0 && `, with ${spare} ${spare === 1 ? "session" : "sessions"} to spare`}.
            {overdue.length > 0 && (
              <strong className="font-[650] text-iron">
                {" "}
                {overdue.length === 1 ? "One task is" : `${overdue.length} tasks are`} overdue and planned from today
                on: {overdue.join(", ")}.
              </strong>
            )}
          </>
        )}
      </p>
      <div ref={ground} className="overflow-x-auto" tabIndex={0} role="region" aria-label="Plan chart">
        <div className="relative" style={{ width }}>
          <svg
            width={width}
            height={height}
            className="block bg-sheet"
            role="group"
            aria-label="Tasks by class session"
          >
            <defs>
              {/* Beds that are laid have their grain; open ground is strewn. */}
              <pattern id="laid" width="8" height="5" patternUnits="userSpaceOnUse">
                <rect width="8" height="5" fill="#e5dccb" />
                <path d="M0 2.5h4" stroke="#dacdb8" strokeWidth="1" />
              </pattern>
              <pattern id="open-ground" width="7" height="7" patternUnits="userSpaceOnUse">
                <circle cx="2" cy="2" r="0.9" fill="#b9a282" />
                <circle cx="5.5" cy="5.5" r="0.9" fill="#b9a282" />
              </pattern>
            </defs>
            {sessions.map((s, i) => (
              <rect
                key={s.number}
                x={x(i, cell)}
                y={head - 4}
                width={cell}
                height={height - head + 4}
                fill={lost.includes(s.date) ? "#f6ece7" : "transparent"}
                stroke="#efe8dc"
                strokeWidth="0.6"
              />
            ))}
            {lines.map((l, i) =>
              l.kind === "milestone" ? (
                <MilestoneLine
                  key={l.m.id}
                  milestone={l.m}
                  reached={at.get(l.m.id)!}
                  end={sessionsHeld(sessions, l.m.dueOn)}
                  line={i}
                  sessions={sessions.length}
                  cell={cell}
                  movable={staff && !l.m.own}
                  onMove={(by) => void moveMilestone(l.m, by)}
                />
              ) : (
                <TaskLine
                  key={l.t.id}
                  task={l.t}
                  at={at.get(l.t.id)!}
                  before={l.t.after.flatMap((id) => {
                    const line = order.findIndex((o) => o.id === id);
                    return line < 0 ? [] : [{ id, line, end: at.get(id)!.earlyEnd }];
                  })}
                  line={i}
                  sessions={sessions.length}
                  cell={cell}
                  movable={staff}
                  onMove={(by) => void move(l.t, by)}
                  onStretch={(by) => void stretch(l.t, by)}
                />
              ),
            )}
            {seam && <path d={seam} fill="none" stroke="#9a3b22" strokeWidth="3" strokeLinejoin="round" aria-hidden />}
            {held > 0 && held < sessions.length && (
              <g aria-hidden>
                <path d={`M${x(held, cell)} ${head - 6}V${height}`} stroke="#231f1b" strokeWidth="1" />
                <path d={`M${x(held, cell) - 5} ${head - 8}h10l-5 6z`} fill="#231f1b" />
              </g>
            )}
          </svg>
          <ChartSessions sessions={sessions} cell={cell} held={held} lost={lost} onLost={setLost} />
        </div>
      </div>
      <p className="mt-1 flex flex-wrap gap-x-5 text-sm text-soft">
        <span>
          <span aria-hidden className="mr-1.5 inline-block h-[3px] w-5 bg-iron align-middle" />
          the chain that binds
        </span>
        <span>
          <span aria-hidden className="mr-1.5 inline-block h-2.5 w-5 bg-stone-2 align-middle" />
          to do, and open ground over which it may slip
        </span>
        <span>
          <span aria-hidden className="mr-1.5 inline-block h-2.5 w-5 bg-stone-1 align-middle" />
          done
        </span>
        {staff && (
          <span>
            Drag a bed, or press the arrow keys on it; Shift and arrows change its length. Press a session's number to
            try it as lost.
          </span>
        )}
      </p>
      <p role="status" className="text-sm text-iron">
        {task.note || milestone.note}
      </p>
      {lost.length > 0 && <LostDays lost={lost} slips={slips} onForget={() => setLost([])} />}
    </div>
  );
}
