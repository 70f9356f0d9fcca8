"use client";

import type { SolverReport } from "@/core/teams/report";
import { cx } from "@/ui/classes";
import { Fold } from "@/ui/fold";
import { DataTable } from "@/ui/table";

/**
 * A plan explained: the teams, what of the wishes is met, every limit, and for each student what was got and why not
 * more.
 */
export function Explained({
  report,
  problem,
}: {
  report: SolverReport;
  problem: { teams: readonly { id: string; name: string }[]; skills: readonly string[] };
}) {
  const name = (id: string) => problem.teams.find((t) => t.id === id)?.name ?? "";
  return (
    <div className="grid gap-3">
      <div className="grid gap-x-6 gap-y-2 sm:grid-cols-2 lg:grid-cols-3">
        {report.teams
          .filter((t) => t.size > 0)
          .map((t) => (
            <div key={t.id} className="border-t-2 border-stone-4 pt-1">
              <p className="font-[650]">
                {t.name}{" "}
                <span className="font-normal text-soft">
                  {t.size}
                  {problem.skills.map((s, k) => `, ${s} ${t.skills[k]}`).join("")}
                </span>
              </p>
              <p className="text-sm">
                {report.students
                  .filter((s) => s.team === t.id)
                  .map((s) => s.name)
                  .join(", ")}
              </p>
            </div>
          ))}
      </div>
      <ul className="text-sm">
        {report.soft.map((s) => (
          <li key={s.kind}>
            {s.text} <span className="text-soft">cost {s.cost.toFixed(1)}</span>
          </li>
        ))}
      </ul>
      <Fold
        labelClass="text-sm"
        label={
          report.constraints.every((c) => c.held) ? (
            `All ${report.constraints.length} limits are kept`
          ) : (
            <span className="text-iron">{report.constraints.filter((c) => !c.held).length} limits are broken</span>
          )
        }
      >
        <ul className="text-sm">
          {report.constraints.map((c) => (
            <li key={c.text} className={cx(!c.held && "text-iron")}>
              {c.held ? "kept" : "broken"}: {c.text}
            </li>
          ))}
        </ul>
      </Fold>
      <Fold labelClass="text-sm" label="Each student: what was got, and why not more">
        <div className="mt-1">
          <DataTable
            caption="Each student"
            columns={[
              { key: "student", text: "Student", className: "font-[600] whitespace-nowrap" },
              { key: "team", text: "Team", className: "whitespace-nowrap" },
              { key: "idea", text: "Idea" },
              { key: "wishes", text: "Wishes" },
              { key: "why", text: "Why not more", className: "text-soft" },
            ]}
            rows={report.students.map((s) => ({
              id: s.id,
              cells: {
                student: s.name,
                team: name(s.team),
                idea: s.choice === null ? null : s.choice === 0 ? "not on the list" : `choice ${s.choice}`,
                wishes: s.wishes ? `${s.met} of ${s.wishes}` : null,
                why: s.notes.join("; "),
              },
            }))}
          />
        </div>
      </Fold>
    </div>
  );
}
