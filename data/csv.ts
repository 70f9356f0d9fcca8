import "server-only";
import Papa from "papaparse";
import { formatSi } from "@/core/quantity/quantity";
import { channelsOf } from "@/core/run/protocol";
import { gradebook } from "./grades";
import { contestOf } from "./contest";
import { limitWords, measureWords } from "./needs";
import { registerTable } from "./register";
import { projectFacts, statusMatrix } from "./status";

/**
 * CSV text with a byte order mark for spreadsheets; a cell that could start a formula is kept from doing so, numbers
 * stay numbers.
 */
export function toCsv(rows: readonly (readonly (string | number | null)[])[]): string {
  const safe = (x: string | number | null) => {
    const text = x === null ? "" : String(x).replace("−", "-");
    return /^[=+\-@\t\r]/.test(text) && !/^[+-]?\d+(\.\d+)?(e[+-]?\d+)?$/i.test(text) ? `'${text}` : text;
  };
  return `\ufeff${Papa.unparse(
    rows.map((r) => r.map(safe)),
    { newline: "\r\n" },
  )}\r\n`;
}

export const csvKinds = ["requirements", "register", "runs", "standings", "gradebook"] as const;
export type CsvKind = (typeof csvKinds)[number];

/** One of the project's lists as CSV; headings name units. */
export async function csvOf(kind: CsvKind, projectId: string, currency: string, today: string): Promise<string> {
  if (kind === "requirements") {
    const facts = await projectFacts(projectId);
    const m = statusMatrix(facts);
    return toCsv([
      [
        "Code",
        "Version",
        "Statement",
        "Kind",
        "Priority",
        "Measure",
        "Limit",
        "Verified by",
        "From",
        ...facts.teams.map((t) => `Status ${t.name}`),
      ],
      ...facts.requirements.map((r) => [
        r.code,
        r.number,
        r.statement,
        r.kind,
        r.priority,
        measureWords(r, facts.protocols),
        limitWords(r, currency),
        r.method,
        r.source,
        ...facts.teams.map((t) => m.status.get(r.id)!.get(t.id)!.value),
      ]),
    ]);
  }
  if (kind === "register") return toCsv(await registerTable(projectId));
  if (kind === "runs") {
    const facts = await projectFacts(projectId);
    const builds = new Map(facts.builds.map((b) => [b.id, b]));
    return facts.protocols
      .map((p) =>
        toCsv([
          [
            "Protocol",
            "Version",
            "Team",
            "Build",
            "Place",
            "Attempt",
            ...p.definition.conditions.map((c) => `${c.name} (${c.unit})`),
            ...channelsOf(p.definition).map((c) => `${c.name} (${c.unit})`),
            "State",
            "Counts",
            "Why not",
            "Recorded by",
            "Recorded at",
          ],
          ...facts.runs
            .filter((r) => r.protocolId === p.id)
            .map((r) => {
              const a = facts.assessed.get(r.id)!;
              const b = builds.get(r.buildId);
              return [
                p.name,
                r.protocolNumber,
                b?.team ?? "",
                b ? `G${b.number}` : "",
                r.place,
                r.attempt,
                ...p.definition.conditions.map((c) =>
                  r.conditions[c.key] === undefined ? null : formatSi(r.conditions[c.key]!, c.unit),
                ),
                ...channelsOf(p.definition).map((c) => a.values[c.key]?.value?.shown ?? null),
                r.state,
                a.comparable ? "yes" : "no",
                a.reasons.join("; "),
                r.by,
                r.at,
              ];
            }),
        ]),
      )
      .join("\r\n");
  }
  if (kind === "standings") {
    const events = await contestOf(projectId);
    return toCsv([
      ["Event", "Place", "Shared", "Team", "Counted", "Unit", "Points", "Attempts", "Decided by"],
      ...events.flatMap((e) =>
        e.standings.map((s) => [
          e.name,
          s.place,
          s.shared ? "yes" : "no",
          s.name,
          s.counted === null ? null : s.shown,
          e.definition.unit,
          s.points,
          s.attempts.map((a) => a.text).join(" · "),
          s.decidedBy,
        ]),
      ),
    ]);
  }
  const book = await gradebook(projectId, today);
  const parts = book.scheme?.definition.components ?? [];
  return toCsv([
    ["Student", "Section", "Team", ...parts.map((c) => `${c.name} (%, weight ${c.weight})`), "Grade (%)"],
    ...book.rows.map((r) => [
      r.student.name,
      r.student.section,
      r.student.team,
      ...r.grade.value.components.map((c) => c.percent ?? c.state),
      r.grade.value.grade,
    ]),
  ]);
}
