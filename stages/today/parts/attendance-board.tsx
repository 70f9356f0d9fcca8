"use client";

import { isAway } from "@/core/log/attendance";
import { type AttendanceState, attendanceState } from "@/core/vocabulary/classroom";
import { cx } from "@/ui/classes";
import { ActButton } from "@/ui/form/act-button";
import { fieldsOf } from "@/ui/form/fields-of";
import { useSend } from "@/ui/form/send";
import { UnfoldForm } from "@/ui/form/unfold-form";
import { Menu } from "@/ui/menu";
import { markAttendanceAction, takeAttendanceAction } from "../actions";
import { attendanceMark } from "../schema";
import type { ClassOn } from "./class-plan-form";

const { TextField } = fieldsOf(attendanceMark);

export interface Attending {
  readonly id: string;
  readonly name: string;
  readonly mark: { readonly state: AttendanceState; readonly minutes: number | null } | null;
}

const looks: Readonly<Record<AttendanceState, string>> = {
  absent: "border-iron bg-iron-wash text-iron",
  excused: "border-slate bg-sheet text-slate",
  late: "border-ochre bg-ochre-wash text-ink",
  "left early": "border-ochre bg-ochre-wash text-ink",
};

/** The minutes that are missed by coming or going now; none while no clock runs. */
const missedNow = (state: AttendanceState | null, ran: number | null, minutes: number): number | undefined => {
  if (ran === null || ran < 0 || ran > minutes) return undefined;
  const missed = state === "late" ? Math.round(ran) : state === "left early" ? Math.round(minutes - ran) : 0;
  return missed >= 1 ? missed : undefined;
};

function Student({
  on,
  student: s,
  taken,
  ran,
  minutes,
}: {
  on: ClassOn;
  student: Attending;
  taken: boolean;
  ran: number | null;
  minutes: number;
}) {
  const { send, busy, note } = useSend(markAttendanceAction);
  const mark = (state: AttendanceState | null) =>
    void send({ ...on, personId: s.id, state: state ?? undefined, minutes: missedNow(state, ran, minutes) });
  const says = s.mark
    ? s.mark.state + (s.mark.minutes ? ` ${s.mark.minutes} min` : "")
    : taken
      ? "here"
      : "not looked yet";
  const partly = s.mark !== null && !isAway(s.mark.state);
  return (
    <li className="grid gap-1">
      <Menu
        label={`${s.name} ${says}`}
        trigger={
          <>
            <span className="min-w-0 truncate font-[600]">{s.name}</span>{" "}
            <span className={cx("shrink-0 text-sm", !s.mark && "text-soft")}>{says}</span>
          </>
        }
        triggerClass={cx(
          "flex min-h-10 w-full items-center justify-between gap-2 rounded-sm border px-2.5 text-left",
          busy && "opacity-55",
          s.mark ? looks[s.mark.state] : "border-line bg-sheet",
        )}
        head={s.name}
        items={[
          { label: "here from beginning to end", onSelect: () => mark(null) },
          ...attendanceState.values.map((state) => ({
            label: attendanceState.labels[state],
            onSelect: () => mark(state),
          })),
        ]}
      />
      {partly && (
        <UnfoldForm
          key={s.mark!.minutes}
          label="minutes missed"
          schema={attendanceMark}
          action={markAttendanceAction}
          fixed={{ ...on, personId: s.id, state: s.mark!.state }}
          defaults={{ minutes: s.mark!.minutes === null ? "" : String(s.mark!.minutes) }}
          submit="Keep"
          inline
        >
          <TextField name="minutes" label="Minutes missed" inputMode="numeric" className="w-32" />
        </UnfoldForm>
      )}
      {note && (
        <p role="alert" className="text-sm text-iron">
          {note}
        </p>
      )}
    </li>
  );
}

/** Attendance by exception: everybody is here but who is marked, and it is said once that it was looked. */
export const AttendanceBoard = ({
  on,
  groups,
  taken,
  ran,
  minutes,
  counts,
}: {
  on: ClassOn;
  groups: readonly { readonly id: string; readonly name: string; readonly students: readonly Attending[] }[];
  /** Who took it and when, in words; null where nobody has. */
  taken: string | null;
  ran: number | null;
  minutes: number;
  counts: { readonly here: number; readonly of: number };
}) => (
  <section aria-labelledby="attendance" className="grid gap-3">
    <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1">
      <h2 id="attendance">Who is here</h2>
      <p className="text-soft" role="status">
        {taken ? `${counts.here} of ${counts.of} here · ${taken}` : "Not taken yet: press who is not here."}
      </p>
      {!taken && (
        <ActButton action={takeAttendanceAction} input={{ ...on, taken: true }}>
          All {counts.of} are here
        </ActButton>
      )}
      {taken && counts.here === counts.of && groups.every((g) => g.students.every((s) => !s.mark)) && (
        <ActButton action={takeAttendanceAction} input={{ ...on, taken: false }} look="quiet">
          it was not taken
        </ActButton>
      )}
    </div>
    <div className="grid gap-x-5 gap-y-4 sm:grid-cols-2">
      {groups.map((g) => (
        <div key={g.id}>
          <h3 className="mb-1 text-sm font-[600] text-soft">{g.name}</h3>
          <ul className="grid gap-1.5">
            {g.students.map((s) => (
              <Student key={s.id} on={on} student={s} taken={taken !== null} ran={ran} minutes={minutes} />
            ))}
          </ul>
        </div>
      ))}
    </div>
    <p className="text-sm text-soft">Reasons are not kept here: they are the school’s. Students see nothing of it.</p>
  </section>
);
