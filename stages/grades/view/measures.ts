import { channelsOf } from "@/core/run/protocol";
import { headed } from "@/core/run/reading";
import { gradedBuild } from "@/core/vocabulary/grades";
import type { Protocol } from "@/stages/bench/queries/runs";
import { measureText } from "./typed-scheme";

/** What a rule of points can measure in a project, in choices. */
export function measuresOf(
  protocols: readonly Pick<Protocol, "id" | "name" | "definition">[],
  events: readonly { id: string; name: string }[],
): { value: string; label: string }[] {
  const bench = protocols.flatMap((p) =>
    channelsOf(p.definition).flatMap((c) =>
      gradedBuild.options.map(({ value: build, label }) => ({
        value: measureText({ protocol: p.id, channel: c.key, build }),
        label: `${p.name}: ${headed(c)}, ${label}`,
      })),
    ),
  );
  return [
    ...bench,
    ...events.map((e) => ({ value: measureText({ event: e.id }), label: `${e.name}: result` })),
    ...(events.length ? [{ value: measureText({ overall: true }), label: "Contest: place in the whole" }] : []),
    { value: measureText({ recorded: "mass" }), label: "Mass of the newest build that is no mock-up" },
    { value: measureText({ recorded: "cost" }), label: "Cost of the newest build that is no mock-up" },
  ];
}
