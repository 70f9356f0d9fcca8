import "server-only";
import { formatSi } from "@/core/quantity/quantity";
import { channelsOf } from "@/core/run/protocol";
import { headed } from "@/core/run/reading";
import { toCsv } from "@/platform/csv/csv";
import { projectFacts } from "@/stages/needs/queries/facts";

/** Every run with its conditions and values, a table a protocol, as CSV. */
export async function runsTable({ id }: { id: string }): Promise<string> {
  const facts = await projectFacts(id);
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
          ...p.definition.conditions.map(headed),
          ...channelsOf(p.definition).map(headed),
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
