import "server-only";
import Papa from "papaparse";
import { fromSi } from "@/core/quantity/quantity";
import { command, refuse } from "@/platform/command/command";
import { needsActs } from "../acts";
import { requirementsOf } from "../queries/requirements";
import type { CsvLine } from "../queries/table";
import * as s from "../schema";
import * as needs from "../schema";
import { saveRequirement } from "./requirements";

const headings: Record<string, string[]> = {
  code: ["code"],
  statement: ["statement", "requirement"],
  kind: ["kind"],
  priority: ["priority"],
  measure: ["measure"],
  comparator: ["comparator"],
  target: ["target"],
  second: ["second"],
  unit: ["unit"],
  method: ["verified by", "method"],
  source: ["from", "source"],
  reason: ["reason"],
};

/**
 * Requirements from a table (CSV or pasted): rows with a known code change that requirement, others are added. Every
 * wrong row is named; nothing is written unless `commit` is given and no row is wrong.
 * The columns are those of the CSV that goes out for editing: Code, Statement, Kind, Priority, Measure (mass, cost or
 * empty), Comparator, Target, Second, Unit, Verified by, From, Reason.
 */
export const importRequirements = command({
  name: "importRequirements",
  act: needsActs.edit,
  schema: s.requirementsCsv,
  subject: (_, i) => ({ project: i.projectId }),
  async run(context, input): Promise<{ lines: CsvLine[]; written: number }> {
    const { sql, audit } = context;
    const parsed = Papa.parse<string[]>(input.text.replace(/^\ufeff/, ""), { skipEmptyLines: "greedy" });
    const [head, ...rows] = parsed.data;
    const col = Object.fromEntries(
      Object.entries(headings).map(([k, names]) => [
        k,
        (head ?? []).findIndex((h) => names.includes(h.trim().toLowerCase())),
      ]),
    ) as Record<string, number>;
    if (col.statement! < 0)
      refuse(
        "The first row must name the columns, with at least “Statement”. For example: Code, Statement, Kind, " +
          "Priority, Measure, Comparator, Target, Unit, Verified by, From.",
        "text",
      );
    if (rows.length > 500) refuse("At most 500 requirements at once.", "text");
    const known = await requirementsOf(input.projectId, sql);
    const lines: CsvLine[] = [];
    const inputs: unknown[] = [];
    for (const [i, row] of rows.entries()) {
      const cell = (k: string) => (col[k]! < 0 ? undefined : (row[col[k]!] ?? "").trim().replace(/^'(?=[=+\-@])/, ""));
      const code = cell("code") || null;
      const old = code ? known.find((r) => r.code === code) : undefined;
      const back = (si: string | null | undefined, unit: string | null | undefined) =>
        si == null
          ? ""
          : fromSi(si, unit ?? "1")
              .toSignificantDigits(10)
              .toString();
      const raw = {
        projectId: input.projectId,
        id: old?.id,
        version: old?.rowVersion ?? 0,
        statement: cell("statement"),
        kind: cell("kind")?.toLowerCase() || old?.kind || "constraint",
        priority: cell("priority")?.toLowerCase() || old?.priority || "should",
        measure: cell("measure") ?? old?.measure ?? "",
        comparator: (cell("comparator") ?? old?.comparator ?? "")
          .replace("<=", "≤")
          .replace(">=", "≥")
          .replace("+-", "±"),
        unit: cell("unit") ?? old?.unit ?? "",
        target: cell("target") ?? back(old?.target, old?.unit),
        second: cell("second") ?? back(old?.second, old?.unit),
        sides: old?.sides ? `${old.sides.map((x) => Number(x) * 1000).join(" × ")} mm` : "",
        method: cell("method")?.toLowerCase() || old?.method || "",
        source: cell("source") ?? old?.source ?? "",
        reason: cell("reason") || (old ? "changed in a table" : ""),
      };
      const same =
        old &&
        (["statement", "kind", "priority", "comparator", "method", "source"] as const).every(
          (k) => (raw[k] ?? "") === (old[k] ?? ""),
        ) &&
        (raw.measure || "") === (old.measure ?? "") &&
        Number(raw.target || 0) === Number(back(old.target, old.unit) || 0) &&
        Number(raw.second || 0) === Number(back(old.second, old.unit) || 0);
      let problem: string | null =
        code && !old ? `There is no requirement ${code}; leave its code empty to add it.` : null;
      if (!problem && !same)
        try {
          inputs.push(await needs.requirement.validate(raw, { abortEarly: true, stripUnknown: true }));
        } catch (e) {
          problem = `${(e as { path?: string }).path ?? ""}: ${(e as Error).message}`;
        }
      lines.push({
        line: i + 2,
        code: code ?? null,
        statement: raw.statement ?? "",
        does: problem ? "wrong" : same ? "same" : old ? "changes" : "adds",
        problem,
      });
    }
    const wrong = lines.filter((l) => l.problem);
    let written = 0;
    if (input.commit && !wrong.length)
      for (const x of inputs) {
        await saveRequirement.run({ ...context, audit: context.audit }, x as never);
        written++;
      }
    audit({
      type: "register",
      label: input.commit ? `${written} requirements from a table` : "table looked at",
      after: { rows: rows.length, wrong: wrong.length },
    });
    return { lines, written };
  },
});
