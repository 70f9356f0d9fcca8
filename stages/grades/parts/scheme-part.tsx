"use client";

import { useFormContext } from "react-hook-form";
import { componentSource, markScale } from "@/core/vocabulary/grades";
import { FieldGroup } from "@/ui/form/field";
import { fieldsFor } from "@/ui/form/fields-of";
import { Menu } from "@/ui/menu";
import { buttonClass } from "@/ui/page";
import { RuleFields } from "@/ui/rule-fields";
import type { Sources } from "../view/shelf";
import { canBeLate, type OutlineMove, type TypedPart } from "../view/typed-scheme";

const part = fieldsFor<TypedPart>();

const kinds = [...componentSource.options, { value: "group", label: "a group of components" }];
const moves: readonly { how: OutlineMove; label: string }[] = [
  { how: "up", label: "Move up" },
  { how: "down", label: "Move down" },
  { how: "in", label: "Into the group above" },
  { how: "out", label: "Out of its group" },
  { how: "remove", label: "Remove" },
];
const indent = ["", "sm:pl-7", "sm:pl-14", "sm:pl-20"];

/** What a component's kind asks. */
function SourceFields({ kind, scale, sources }: { kind: string; scale: string; sources: Sources }) {
  switch (kind) {
    case "rubric":
      return <part.SelectField name="review" label="Review" empty="choose" options={[...sources.reviews]} />;
    case "milestone":
      return <part.SelectField name="milestone" label="Milestone" empty="choose" options={[...sources.milestones]} />;
    case "notebook":
      return <part.TextField name="every" label="One entry for so many class sessions" inputMode="numeric" />;
    case "group":
      return <part.TextField name="drop" label="Lowest that are left out" inputMode="numeric" />;
    case "points":
      return (
        <>
          <part.SelectField name="measure" label="Measured value" empty="choose" options={[...sources.measures]} />
          <RuleFields name="rule" />
          <part.TextField name="full" label="Points that are full marks" inputMode="decimal" />
        </>
      );
    case "entered":
      return (
        <>
          <part.SelectField name="scale" label="Entered in" options={markScale.options} />
          {scale === "points" && <part.TextField name="of" label="Points that are full marks" inputMode="decimal" />}
          {scale === "letters" && (
            <part.TextArea name="letters" label="A letter and its percent in each line" rows={5} />
          )}
        </>
      );
    default:
      return null;
  }
}

/** One line of the scheme: its name and weight, what scores it, and what its kind asks. */
export function SchemePart({
  index,
  ofWhole,
  sources,
  onMove,
  onAdd,
}: {
  index: number;
  /** Percent of the whole, where the weights can be read. */
  ofWhole: number | null;
  sources: Sources;
  onMove: (how: OutlineMove) => void;
  /** Adds a component to this group. */
  onAdd: () => void;
}) {
  const { watch } = useFormContext<{ components: TypedPart[] }>();
  const p = watch(`components.${index}`);
  const group = p.kind === "group";
  const named = p.name || "this component";
  return (
    <FieldGroup name={`components.${index}`}>
      <div className={`grid gap-2 border-t border-line pt-2.5 ${indent[p.depth] ?? indent[3]}`} data-part={p.key}>
        <div className="grid items-start gap-x-3 gap-y-2 sm:grid-cols-[minmax(0,1.3fr)_96px_minmax(0,1.4fr)_32px]">
          <part.TextField name="name" label={group ? "Group" : "Component"} />
          <part.TextField
            name="weight"
            label={p.depth ? "Parts" : "Weight, %"}
            inputMode="decimal"
            hint={p.depth && ofWhole !== null ? `${Number(ofWhole.toFixed(1))} % of the whole` : undefined}
          />
          <part.SelectField name="kind" label="Scored by" options={kinds} />
          <Menu
            label={`What to do with ${named}`}
            trigger="⋯"
            triggerClass={`${buttonClass("quiet")} mt-5`}
            items={[
              ...(group ? [{ label: "Add a component in it", onSelect: onAdd }] : []),
              ...moves.map((m) => ({ label: m.label, onSelect: () => onMove(m.how) })),
            ]}
          />
        </div>
        <div className="grid items-start gap-x-3 gap-y-2 sm:grid-cols-3">
          <SourceFields kind={p.kind} scale={p.scale} sources={sources} />
        </div>
        <div className="flex flex-wrap items-start gap-x-5 gap-y-2">
          {sources.rounds.length > 0 && <part.CheckField name="peer" label="times the peer factor" />}
          {canBeLate(p.kind) && <part.CheckField name="isLate" label="loses when it is late" />}
          {canBeLate(p.kind) && p.isLate && (
            <div className="grid grow grid-cols-3 gap-3">
              <part.TextField name="perSession" label="Percent a class session late" inputMode="decimal" />
              <part.TextField name="grace" label="Class sessions of grace" inputMode="numeric" />
              <part.TextField name="floor" label="Never below, percent" inputMode="decimal" />
            </div>
          )}
        </div>
      </div>
    </FieldGroup>
  );
}
