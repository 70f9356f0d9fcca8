import { graphlib, layout } from "@dagrejs/dagre";
import { changedVariables } from "@/core/builds/variables";
import { primaryOf } from "@/core/run/protocol";
import { showIn, unitAfter } from "@/core/run/reading";
import type { ProjectState } from "@/stages/needs/queries/state";
import type { Build } from "../queries/builds";
import type { FailureRow } from "../queries/failures";

const size = { width: 168, height: 66 } as const;

export interface TreeNode {
  readonly id: string;
  /** Where its page is. */
  readonly path: string;
  readonly name: string;
  readonly stage: string;
  /** What it reached, with its unit; null before its first run that counts. */
  readonly reached: string | null;
  readonly openFailures: number;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}
export interface TreeEdge {
  readonly from: string;
  readonly to: string;
  /** What changed on the way, in a few words. */
  readonly label: string;
}

const few = (words: readonly string[]) =>
  words.length > 2 ? `${words[0]} and ${words.length - 1} more` : words.join(", ");

/** The generations as a family tree from left to right, laid out, with branches and merges; and the same as a list. */
export function treeView(
  facts: Pick<ProjectState, "builds" | "protocols" | "summary">,
  failures: readonly Pick<FailureRow, "buildId" | "closedBy">[],
  team: string | undefined,
  slug = "",
) {
  const shown = facts.builds.filter((b) => !team || b.teamId === team);
  // What a shown build was made from is shown too, whoever made it.
  const builds = facts.builds.filter((b) => shown.includes(b) || shown.some((x) => x.parents.includes(b.id)));
  const protocol = facts.protocols[0];
  const channel = protocol && primaryOf(protocol.definition);
  const byId = new Map(builds.map((b) => [b.id as string, b]));
  const changes = (a: Build, b: Build) => {
    const changed = changedVariables(a.variables, b.variables);
    return changed.length ? few(changed) : "";
  };
  const edges: TreeEdge[] = builds.flatMap((b) =>
    b.parents.flatMap((id) => {
      const parent = byId.get(id);
      return parent ? [{ from: id, to: b.id as string, label: changes(parent, b) }] : [];
    }),
  );
  const graph = new graphlib.Graph();
  graph.setGraph({ rankdir: "LR", nodesep: 18, ranksep: 120 });
  graph.setDefaultEdgeLabel(() => ({}));
  const ancestors = new Map(builds.flatMap((b) => (b.ancestor ? [[b.ancestor.id, b.ancestor] as const] : [])));
  for (const b of builds)
    if (b.ancestor) edges.push({ from: b.ancestor.id, to: b.id, label: `from ${b.ancestor.edition}` });
  for (const id of [...builds.map((b) => b.id as string), ...ancestors.keys()]) graph.setNode(id, { ...size });
  for (const e of edges) graph.setEdge(e.from, e.to);
  layout(graph);
  const name = (b: Build) => `${b.team} G${b.number}${b.maker ? `, ${b.maker.split(" ")[0]}` : ""}`;
  const place = (id: string) => {
    const at = graph.node(id);
    return { x: at.x - size.width / 2, y: at.y - size.height / 2, ...size };
  };
  const nodes: TreeNode[] = builds.map((b) => {
    const counted = protocol && channel ? facts.summary(b.id, protocol.id, channel.key)?.counted : null;
    return {
      id: b.id,
      path: `/p/${slug}/builds/${b.id}`,
      name: name(b),
      stage: b.stage,
      reached:
        counted === null || counted === undefined ? null : unitAfter(showIn(channel!, counted, 2), channel!.unit),
      openFailures: failures.filter((f) => f.buildId === b.id && f.closedBy === null).length,
      ...place(b.id),
    };
  });
  for (const a of ancestors.values())
    nodes.push({
      id: a.id,
      path: `/p/${a.slug}/builds/${a.id}`,
      name: a.name,
      stage: `${a.stage}, ${a.edition}`,
      reached: "",
      openFailures: 0,
      ...place(a.id),
    });
  return {
    nodes,
    edges,
    width: Math.max(...nodes.map((n) => n.x + n.width), 0),
    height: Math.max(...nodes.map((n) => n.y + n.height), 0),
    /** The same in words, a line a build. */
    lines: builds.map((b) => ({
      id: b.id as string,
      name: name(b),
      from: [
        ...b.parents.flatMap((id) => (byId.has(id) ? [name(byId.get(id)!)] : [])),
        ...(b.ancestor ? [`${b.ancestor.name} of ${b.ancestor.edition}`] : []),
      ],
      whatChanged: b.whatChanged,
    })),
  };
}
export type Tree = ReturnType<typeof treeView>;
