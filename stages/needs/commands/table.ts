import "server-only";
import Papa from "papaparse";
import { command, refuse } from "@/platform/command/command";
import { projectUnits } from "@/platform/project/settings";
import { readSides } from "@/platform/schema/entered";
import { needsActs } from "../acts";
import { requirementsOf } from "../queries/requirements";
import { type CsvLine, registerColumns } from "../queries/table";
import * as s from "../schema";
import { asTyped } from "../view/requirements";
import { saveRequirement } from "./requirements";

/**
 * Requirements from a table (CSV or pasted): rows with a known code change that requirement, others are added. Every
 * wrong row is named; nothing is written unless `commit` is given and no row is wrong.
 * The columns are those of the CSV that goes out for editing: Measure is mass, cost, envelope or empty, Envelope three
 * sides as a person writes them.
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
      Object.entries(registerColumns).map(([k, names]) => [
        k,
        (head ?? []).findIndex((h) => names.some((n) => n.toLowerCase() === h.trim().toLowerCase())),
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
    const { side } = await projectUnits(input.projectId, sql);
    const lines: CsvLine[] = [];
    const inputs: unknown[] = [];
    for (const [i, row] of rows.entries()) {
      const cell = (k: string) => (col[k]! < 0 ? undefined : (row[col[k]!] ?? "").trim().replace(/^'(?=[=+\-@])/, ""));
      const code = cell("code") || null;
      const old = code ? known.find((r) => r.code === code) : undefined;
      const now = old && asTyped(old);
      const raw = {
        projectId: input.projectId,
        id: old?.id,
        version: old?.rowVersion ?? 0,
        statement: cell("statement"),
        kind: cell("kind")?.toLowerCase() || now?.kind || "constraint",
        priority: cell("priority")?.toLowerCase() || now?.priority || "should",
        measure: cell("measure") ?? now?.measure ?? "",
        comparator: (cell("comparator") ?? now?.comparator ?? "")
          .replace("<=", "≤")
          .replace(">=", "≥")
          .replace("+-", "±"),
        unit: cell("unit") ?? now?.unit ?? "",
        target: cell("target") ?? now?.target ?? "",
        second: cell("second") ?? now?.second ?? "",
        sides: cell("sides") ?? now?.sides ?? "",
        method: cell("method")?.toLowerCase() || now?.method || "",
        source: cell("source") ?? now?.source ?? "",
        reason: cell("reason") || (old ? "changed in a table" : ""),
      };
      const sidesOf = (text: string) => readSides(text, side)?.map(Number).join();
      const same =
        now &&
        (["statement", "kind", "priority", "measure", "comparator", "method", "source"] as const).every(
          (k) => (raw[k] ?? "") === now[k],
        ) &&
        Number(raw.target || 0) === Number(now.target || 0) &&
        Number(raw.second || 0) === Number(now.second || 0) &&
        sidesOf(raw.sides) === sidesOf(now.sides);
      let problem: string | null =
        code && !old ? `There is no requirement ${code}; leave its code empty to add it.` : null;
      if (!problem && !same)
        try {
          inputs.push(await s.requirement.validate(raw, { abortEarly: true, stripUnknown: true }));
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
