"use client";

import { useRouter } from "next/navigation";
import { useRef, useState } from "react";
import { countTasks, type DatedTask, replayLost, scheduleTasks } from "@/core/sessions/network";
import { type ClassSession, sessionsHeld } from "@/core/sessions/sessions";
import { cx } from "@/ui/classes";
import { longDate, shortDate } from "@/ui/date";
import { moveMilestoneAction, saveTaskAction } from "../actions";

export interface ChartTask {
  id: string;
  title: string;
  length: number;
  notBefore: string | null;
  deadline: string | null;
  milestoneId: string | null;
  after: string[];
  doneOn: string | null;
  version: number;
}

export interface ChartMilestone {
  id: string;
  title: string;
  dueOn: string;
  version: number;
  own: boolean;
}

const cell = 24;

const row = 26;

const left = 210;

/**
 * The plan at a glance: one column a class session, one bar a task, milestones as marks; the critical chain in iron,
 * slack as a thin tail.
 * A bar is moved by dragging it or by the arrow keys, made longer by its right end or Shift and arrows. Lost days are
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
  const router = useRouter();
  const [drag, setDrag] = useState<{ id: string; from: number; by: number; edge: boolean } | null>(null);
  const [note, setNote] = useState("");
  const [lost, setLost] = useState<string[]>([]);
  const busy = useRef(false);
  const plan = scheduleTasks(countTasks(network, sessions), sessionsHeld(sessions, event));
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
  const least = Math.min(0, ...plan.tasks.filter((t) => t.critical).map((t) => t.slack));
  const room = Math.max(0, plan.tasks.find((t) => t.critical)?.slack ?? 0);
  const width = left + sessions.length * cell + 8;

  const send = async (write: () => Promise<{ ok: boolean; message?: string }>) => {
    if (busy.current) return;
    busy.current = true;
    setNote("");
    try {
      const r = await write();
      if (!r.ok) setNote(r.message ?? "");
      router.refresh();
    } catch {
      setNote("The network did not answer. The plan is as it was.");
    } finally {
      busy.current = false;
    }
  };
  const save = (t: ChartTask, patch: Partial<ChartTask>) =>
    send(() =>
      saveTaskAction({
        projectId,
        id: t.id,
        version: t.version,
        title: t.title,
        length: patch.length ?? t.length,
        notBefore: patch.notBefore === undefined ? (t.notBefore ?? "") : (patch.notBefore ?? ""),
        deadline: t.deadline ?? "",
        milestoneId: t.milestoneId ?? "",
        after: t.after,
      }),
    );
  const move = (t: ChartTask, by: number) => {
    const to = Math.max(0, Math.min(sessions.length - 1, at.get(t.id)!.early + by));
    const earliest = scheduleTasks(
      countTasks(
        network.map((x) => (x.id === t.id ? { ...x, notBefore: null } : x)),
        sessions,
      ),
      sessionsHeld(sessions, event),
    );
    const free = earliest.ok ? earliest.tasks.find((x) => x.id === t.id)!.early : 0;
    if (to < free)
      return setNote(
        `“${t.title}” cannot begin before session ${free + 1}: ` +
          `${t.after.flatMap((a) => title.get(a) ?? []).join(", ") || "the project begins then"} comes first.`,
      );
    return save(t, { notBefore: to <= free ? null : sessions[to]!.date });
  };
  const stretch = (t: ChartTask, by: number) => save(t, { length: Math.max(1, t.length + by) });
  const moveMilestone = (m: ChartMilestone, by: number) => {
    const i = Math.max(0, Math.min(sessions.length - 1, sessionsHeld(sessions, m.dueOn) - 1 + by));
    return send(() => moveMilestoneAction({ id: m.id, version: m.version, dueOn: sessions[i]!.date }));
  };
  const x = (s: number) => left + s * cell;
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
            {least >= 0 && chain.length > 0 && `, with ${room} ${room === 1 ? "session" : "sessions"} to spare`}.
          </>
        )}
      </p>
      <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Plan chart">
        <svg
          width={width}
          height={(lines.length + 1) * row + 26}
          className="block bg-sheet"
          role="group"
          aria-label="Tasks by class session"
        >
          {sessions.map((s, i) => (
            <rect
              key={s.number}
              x={x(i)}
              y={0}
              width={cell}
              height={(lines.length + 1) * row + 26}
              fill={lost.includes(s.date) ? "#f6ece7" : i % 2 ? "#f6f1e6" : "transparent"}
            />
          ))}
          {sessions.map((s, i) => {
            const off = lost.includes(s.date);
            return (
              <g
                key={s.number}
                role="checkbox"
                tabIndex={0}
                aria-checked={off}
                aria-label={`Session ${s.number}, ${longDate(s.date)}: lost?`}
                className="cursor-pointer"
                onClick={() => setLost(off ? lost.filter((d) => d !== s.date) : [...lost, s.date])}
                onKeyDown={(e) => {
                  if (e.key === " " || e.key === "Enter") {
                    e.preventDefault();
                    setLost(off ? lost.filter((d) => d !== s.date) : [...lost, s.date]);
                  }
                }}
              >
                <title>
                  {`session ${s.number}, ${longDate(s.date)}` +
                    `${off ? ", tried as lost" : ". Press to try it as lost"}`}
                </title>
                <rect x={x(i)} y={0} width={cell} height={row + 10} fill="transparent" />
                <text
                  x={x(i) + cell / 2}
                  y={13}
                  textAnchor="middle"
                  fontSize="11"
                  fontWeight={i === held - 1 ? 700 : 400}
                  fill={off ? "#9a3b22" : "#574e45"}
                  textDecoration={off ? "line-through" : undefined}
                >
                  {s.number}
                </text>
                {(i === 0 || i % 4 === 0) && (
                  <text x={x(i) + 1} y={27} fontSize="9.5" fill="#6b6258">
                    {shortDate(s.date)}
                  </text>
                )}
              </g>
            );
          })}
          {held > 0 && held < sessions.length && (
            <line
              x1={x(held)}
              x2={x(held)}
              y1={4}
              y2={(lines.length + 1) * row + 24}
              stroke="#9a3b22"
              strokeWidth="1.5"
            />
          )}
          {lines.map((l, i) => {
            const y = (i + 1) * row + 12;
            if (l.kind === "milestone") {
              const end = sessionsHeld(sessions, l.m.dueOn);
              const reached = at.get(l.m.id)!;
              const late = reached.slack < 0 && reached.critical;
              return (
                <g key={l.m.id}>
                  <text x={6} y={y + 15} fontSize="12.5" fontWeight="600" fill="#231f1b">
                    {l.m.title.slice(0, 30)}
                  </text>
                  <g
                    tabIndex={0}
                    role="slider"
                    aria-disabled={!staff || l.m.own}
                    aria-label={
                      `Milestone ${l.m.title}, ${longDate(l.m.dueOn)}` + `${late ? ", its tasks end too late" : ""}`
                    }
                    aria-valuenow={end}
                    aria-valuemin={1}
                    aria-valuemax={sessions.length}
                    onKeyDown={(e) => {
                      if (!staff || l.m.own) return;
                      if (e.key === "ArrowLeft" || e.key === "ArrowRight") {
                        e.preventDefault();
                        void moveMilestone(l.m, e.key === "ArrowLeft" ? -1 : 1);
                      }
                    }}
                    className={cx(staff && !l.m.own && "cursor-grab")}
                    onPointerDown={(e) => {
                      if (!staff || l.m.own) return;
                      e.currentTarget.setPointerCapture(e.pointerId);
                      setDrag({ id: l.m.id, from: e.clientX, by: 0, edge: false });
                    }}
                    onPointerMove={(e) => {
                      if (drag?.id === l.m.id) setDrag({ ...drag, by: e.clientX - drag.from });
                    }}
                    onPointerCancel={() => setDrag(null)}
                    onPointerUp={() => {
                      if (drag?.id !== l.m.id) return;
                      const by = Math.round(drag.by / cell);
                      setDrag(null);
                      if (by) void moveMilestone(l.m, by);
                    }}
                  >
                    <title>
                      {`${l.m.title}: due ${longDate(l.m.dueOn)}; its tasks end with session ` + `${reached.earlyEnd}`}
                    </title>
                    <path
                      d={`M${x(end + (drag?.id === l.m.id ? Math.round(drag.by / cell) : 0))} ${y + 4}l6 7-6 7-6-7z`}
                      fill={late ? "#9a3b22" : "#41586a"}
                    />
                  </g>
                </g>
              );
            }
            const t = l.t;
            const s = at.get(t.id)!;
            const shift = drag?.id === t.id ? Math.round(drag.by / cell) : 0;
            const begin = s.early + (drag?.id === t.id && !drag.edge ? shift : 0);
            const length = Math.max(1, t.length + (drag?.id === t.id && drag.edge ? shift : 0));
            const fill = t.doneOn ? "#b9a282" : s.critical ? "#9a3b22" : "#526b3c";
            const words =
              `${t.title}: ${t.length} ${t.length === 1 ? "session" : "sessions"}, ${s.early + 1} to ` +
              `${s.earlyEnd}, slack ${s.slack}${t.doneOn ? ", done" : ""}` +
              `${s.critical ? ", critical" : ""}`;
            return (
              <g key={t.id}>
                <text x={6} y={y + 15} fontSize="12.5" fill={t.doneOn ? "#6b6258" : "#231f1b"}>
                  {t.title.slice(0, 31)}
                </text>
                {t.after.map((a) => {
                  const b = at.get(a);
                  const j = order.findIndex((o) => o.id === a);
                  return b && j >= 0 ? (
                    <path
                      key={a}
                      d={`M${x(b.earlyEnd)} ${(j + 1) * row + 23}H${x(s.early) + 3}V${y + 3}`}
                      fill="none"
                      stroke="#b9a282"
                    />
                  ) : null;
                })}
                {s.slack > 0 && !t.doneOn && (
                  <line
                    x1={x(s.earlyEnd)}
                    x2={x(Math.min(sessions.length, s.lateEnd))}
                    y1={y + 11}
                    y2={y + 11}
                    stroke="#526b3c"
                    strokeDasharray="2 3"
                  />
                )}
                <g
                  tabIndex={0}
                  role="slider"
                  aria-disabled={!staff}
                  aria-label={words}
                  aria-valuenow={s.early + 1}
                  aria-valuemin={1}
                  aria-valuemax={sessions.length}
                  aria-valuetext={words}
                  className={cx(staff && "cursor-grab")}
                  onKeyDown={(e) => {
                    if (!staff || (e.key !== "ArrowLeft" && e.key !== "ArrowRight")) return;
                    e.preventDefault();
                    const by = e.key === "ArrowLeft" ? -1 : 1;
                    void (e.shiftKey ? stretch(t, by) : move(t, by));
                  }}
                  onPointerDown={(e) => {
                    if (!staff) return;
                    const box = e.currentTarget.getBoundingClientRect();
                    e.currentTarget.setPointerCapture(e.pointerId);
                    setDrag({ id: t.id, from: e.clientX, by: 0, edge: box.right - e.clientX < 8 });
                  }}
                  onPointerMove={(e) => {
                    if (drag?.id === t.id) setDrag({ ...drag, by: e.clientX - drag.from });
                  }}
                  onPointerCancel={() => setDrag(null)}
                  onPointerUp={() => {
                    if (drag?.id !== t.id) return;
                    const by = Math.round(drag.by / cell);
                    setDrag(null);
                    if (by) void (drag.edge ? stretch(t, by) : move(t, by));
                  }}
                >
                  <title>{words}</title>
                  <rect
                    x={x(begin) + 1}
                    y={y + 3}
                    width={length * cell - 2}
                    height={16}
                    rx="2"
                    fill={fill}
                    opacity={drag?.id === t.id ? 0.7 : 1}
                  />
                  {staff && (
                    <rect
                      x={x(begin) + length * cell - 8}
                      y={y + 3}
                      width={7}
                      height={16}
                      fill="transparent"
                      className="cursor-ew-resize"
                    />
                  )}
                </g>
              </g>
            );
          })}
        </svg>
      </div>
      <p className="mt-1 flex flex-wrap gap-x-5 text-sm text-soft">
        <span>
          <span aria-hidden className="mr-1 inline-block h-2.5 w-4 bg-iron" />
          critical
        </span>
        <span>
          <span aria-hidden className="mr-1 inline-block h-2.5 w-4 bg-moss" />
          has slack
        </span>
        <span>
          <span aria-hidden className="mr-1 inline-block h-2.5 w-4 bg-stone-3" />
          done
        </span>
        {staff && (
          <span>
            Drag a bar, or press the arrow keys on it; Shift and arrows change its length. Press a session's number to
            try it as lost.
          </span>
        )}
      </p>
      <p role="status" className="text-sm text-iron">
        {note}
      </p>
      {lost.length > 0 && (
        <div className="mt-2 border-l-4 border-ochre bg-ochre-wash px-3 py-1.5" role="status">
          <p className="font-[600]">
            If {lost.map((d) => shortDate(d)).join(", ")} {lost.length === 1 ? "is" : "are"} lost:{" "}
            {slips.length === 0
              ? "nothing ends later."
              : `${slips.length} ${slips.length === 1 ? "task ends" : "tasks end"} later, ` +
                `${slips.filter((s) => s.late).length} too late.`}{" "}
            <button type="button" className="ml-2 font-normal underline" onClick={() => setLost([])}>
              forget it
            </button>
          </p>
          {slips.length > 0 && (
            <ul className="text-sm">
              {slips.map((s) => (
                <li key={s.id} className={s.late ? "text-iron" : undefined}>
                  {s.name}: {s.was ? shortDate(s.was) : "–"} becomes{" "}
                  {s.now ? shortDate(s.now) : "after the last session"}
                  {s.late && ", past its date"}
                </li>
              ))}
            </ul>
          )}
        </div>
      )}
    </div>
  );
}
