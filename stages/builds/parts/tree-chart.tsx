"use client";

import "@xyflow/react/dist/base.css";
import { type Edge, Handle, MarkerType, type Node, type NodeProps, Position, ReactFlow } from "@xyflow/react";
import Link from "@/ui/link";
import type { TreeEdge, TreeNode } from "../view/tree";

type BuildNode = Node<{ node: TreeNode; href: string }, "build">;

function Generation({ data: { node, href } }: NodeProps<BuildNode>) {
  return (
    <>
      <Handle type="target" position={Position.Left} className="!size-0 !min-h-0 !min-w-0 !border-0" />
      <Link
        href={href}
        className="nodrag block h-full w-full rounded-sm border border-line bg-sheet px-2.5 py-1.5 hover:border-ink"
      >
        <span className="flex justify-between gap-2">
          <span className="truncate font-[650]">{node.name}</span>
          {node.openFailures > 0 && (
            <span className="text-sm whitespace-nowrap text-iron">{node.openFailures} open</span>
          )}
        </span>
        <span className="block text-sm text-soft">{node.stage}</span>
        <span className="block text-sm font-[600]">{node.reached ?? "not tested"}</span>
      </Link>
      <Handle type="source" position={Position.Right} className="!size-0 !min-h-0 !min-w-0 !border-0" />
    </>
  );
}

const nodeTypes = { build: Generation };

/** The family tree: each build a link, what changed on the lines; dragging and the wheel with Ctrl move it. */
export default function TreeChart({
  nodes,
  edges,
  width,
  height,
}: {
  nodes: readonly TreeNode[];
  edges: readonly TreeEdge[];
  width: number;
  height: number;
}) {
  const shown: BuildNode[] = nodes.map((node) => ({
    id: node.id,
    type: "build",
    position: { x: node.x, y: node.y },
    width: node.width,
    height: node.height,
    data: { node, href: node.path },
  }));
  const lines: Edge[] = edges.map((e) => ({
    id: `${e.from} ${e.to}`,
    source: e.from,
    target: e.to,
    label: e.label || undefined,
    labelStyle: { fontSize: 11, fill: "#6b6258" },
    labelBgStyle: { fill: "#f3efe7" },
    style: { stroke: "#b9a282", strokeWidth: 1.6 },
    markerEnd: { type: MarkerType.ArrowClosed, color: "#957656" },
  }));
  return (
    <div
      className="sheet w-full min-w-0"
      style={{ aspectRatio: `${width + 60} / ${height + 60}`, maxHeight: height + 60 }}
    >
      <ReactFlow
        nodes={shown}
        edges={lines}
        nodeTypes={nodeTypes}
        fitView
        fitViewOptions={{ maxZoom: 1, padding: 0.04 }}
        minZoom={0.2}
        maxZoom={1.6}
        nodesDraggable={false}
        nodesConnectable={false}
        nodesFocusable={false}
        edgesFocusable={false}
        elementsSelectable={false}
        zoomOnScroll={false}
        preventScrolling={false}
        proOptions={{ hideAttribution: true }}
        aria-label="Family tree of the generations; the list below holds the same"
      />
    </div>
  );
}
