import { type TrainingState, trained, trainingState } from "@/core/shop/training";
import type { Tool } from "../queries/tools";

/** How a training stands, in words. */
export const trainingWords: Readonly<Record<TrainingState, string>> = {
  none: "not trained",
  holds: "trained",
  "ends soon": "trained, ends soon",
  over: "training over",
};

export interface TrainingCell {
  readonly toolId: string;
  readonly state: TrainingState;
  readonly on: string | null;
  readonly by: string;
  readonly expiresOn: string | null;
}

/** How a student's training for a tool stands on a day. */
export const stateFor = (tool: Pick<Tool, "signed">, personId: string, day: string): TrainingState =>
  trainingState(
    tool.signed.find((s) => s.personId === personId),
    day,
  );

/** Who is trained for what on a day: a student a line, a tool a cell. */
export const trainingLines = (
  tools: readonly Tool[],
  students: readonly { readonly id: string; readonly name: string }[],
  day: string,
) =>
  students.map((s) => ({
    ...s,
    cells: tools.map((t): TrainingCell => {
      const signed = t.signed.find((x) => x.personId === s.id);
      return {
        toolId: t.id,
        state: trainingState(signed, day),
        on: signed?.on ?? null,
        by: signed?.by ?? "",
        expiresOn: signed?.expiresOn ?? null,
      };
    }),
  }));

/** A tool's students on a day: each with whether the signature holds, who they are, and whose training is over. */
export function holdersOf(
  tool: Pick<Tool, "signed">,
  students: readonly { readonly id: string; readonly name: string }[],
  day: string,
) {
  const states = students.map(({ id, name }) => ({ id, name, state: stateFor(tool, id, day) }));
  return {
    students: states.map(({ id, name, state }) => ({ id, name, holds: trained(state) })),
    holding: states.filter((s) => trained(s.state)).map((s) => s.name),
    over: states.filter((s) => s.state === "over").map((s) => s.name),
  };
}

/** How many are trained for each tool on a day, and whose training ends soon or is over. */
export const trainingCounts = (lines: ReturnType<typeof trainingLines>, toolId: string) => {
  const states = lines.map((l) => l.cells.find((c) => c.toolId === toolId)!.state);
  const count = (s: TrainingState) => states.filter((x) => x === s).length;
  return { trained: count("holds") + count("ends soon"), soon: count("ends soon"), over: count("over") };
};

/** What is said of a tool, as its form takes it. */
export const typedTool = (t: Tool) => ({
  name: t.name,
  caution: t.caution,
  rules: t.rules,
  trainers: t.trainers,
  place: t.place,
  months: String(t.months ?? 0),
  shared: t.shared,
  checks: t.checks.join("\n"),
});
