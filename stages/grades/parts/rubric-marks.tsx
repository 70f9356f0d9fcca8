"use client";

import dynamic from "next/dynamic";
import { useState } from "react";
import type { NotebookRubric } from "../view/rubric-mark";

const RubricMark = dynamic(() => import("./rubric-mark"), { ssr: false });

/** Which rubric a mark is given by; its levels are loaded when one is pressed. */
export function RubricMarks({
  rubrics,
  ...mark
}: {
  projectId: string;
  personId: string;
  component: string;
  version: number;
  rubrics: readonly NotebookRubric[];
}) {
  const [by, setBy] = useState<NotebookRubric | null>(null);
  if (by) return <RubricMark key={by.id} {...mark} rubric={by} onDone={() => setBy(null)} />;
  return rubrics.map((r) => (
    <button key={r.id} type="button" className="no-print text-sm text-soft underline" onClick={() => setBy(r)}>
      by {r.name}
    </button>
  ));
}
