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

const kinds = [...componentSource.options, { value: "group", label: "a group" }];
const moves: readonly { how: OutlineMove; label: string }[] = [
  { how: "up", label: "Move up" },
  { how: "down", label: "Move down" },
  { how: "in", label: "Into the group above" },
  { how: "out", label: "Out of its group" },
  { how: "remove", label: "Remove" },
];
const columns =
  "grid items-start gap-x-3 gap-y-2 sm:grid-cols-[minmax(0,1.2fr)_92px_minmax(0,1.2fr)_minmax(0,1.2fr)_28px]";
const indent = ["", "sm:pl-7", "sm:pl-14", "sm:pl-20"];

/** What a component's kind asks first, in its row. */
function SourceField({ kind, sources }: { kind: string; sources: Sources }) {
  switch (kind) {
    case "rubric":
    case "individual":
      return <part.SelectField name="review" label="Review" empty="choose" options={[...sources.reviews]} />;
    case "milestone":
      return <part.SelectField name="milestone" label="Milestone" empty="choose" options={[...sources.milestones]} />;
    case "notebook":
      return <part.TextField name="every" label="Class sessions for one entry" inputMode="numeric" />;
    case "group":
      return <part.TextField name="drop" label="Lowest left out" inputMode="numeric" />;
    case "points":
      return <part.SelectField name="measure" label="Measured value" empty="choose" options={[...sources.measures]} />;
    case "entered":
      return <part.SelectField name="scale" label="Entered in" options={markScale.options} />;
    default:
      return <span />;
  }
}

/** What it asks besides. */
function MoreFields({ p }: { p: TypedPart }) {
  if (p.kind === "points")
    return (
      <div className="grid items-start gap-x-3 gap-y-2 sm:grid-cols-3">
        <RuleFields name="rule" />
        <part.TextField name="full" label="Points that are full marks" inputMode="decimal" />
      </div>
    );
  if (p.kind !== "entered" || p.scale === "percent") return null;
  return (
    <div className="grid items-start gap-x-3 sm:grid-cols-3">
      {p.scale === "points" ? (
        <part.TextField name="of" label="Points that are full marks" inputMode="decimal" />
      ) : (
        <part.TextArea name="letters" label="A letter and its percent in each line" rows={5} />
      )}
    </div>
  );
}

/** What a weight in a group is called: parts, which are so much of the whole. */
const partsOf = (whole: number | null) => (whole === null ? "Parts" : `Parts · ${Number(whole.toFixed(1))} %`);

/** One line of the scheme: its name and weight, what scores it, and what its kind asks. */
export function SchemePart({
  index,
  ofWhole,
  factor,
  sources,
  onMove,
  onAdd,
}: {
  index: number;
  /** Percent of the whole, where the weights can be read. */
  ofWhole: number | null;
  /** The peer factor can be taken here: there is a rating, and no group above takes it already. */
  factor: boolean;
  sources: Sources;
  onMove: (how: OutlineMove) => void;
  /** Adds a component to this group. */
  onAdd: () => void;
}) {
  const { watch } = useFormContext<{ components: TypedPart[] }>();
  const p = watch(`components.${index}`);
  const group = p.kind === "group";
  const named = p.name || "this component";
  const late = canBeLate(p.kind);
  return (
    <FieldGroup name={`components.${index}`}>
      <div className={`grid gap-2 border-t border-line pt-2.5 ${indent[p.depth] ?? indent[3]}`} data-part={p.key}>
        <div className={columns}>
          <part.TextField name="name" label={group ? "Group" : "Component"} />
          <part.TextField name="weight" label={p.depth ? partsOf(ofWhole) : "Weight, %"} inputMode="decimal" />
          <part.SelectField name="kind" label="Scored by" options={kinds} />
          <SourceField kind={p.kind} sources={sources} />
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
        <MoreFields p={p} />
        <div className="flex flex-wrap items-center gap-x-5 gap-y-1.5 empty:hidden">
          {factor && <part.CheckField name="peer" label="times the peer factor" />}
          {late && <part.CheckField name="isLate" label="loses when it is late" />}
        </div>
        {late && p.isLate && (
          <div className="grid gap-3 sm:grid-cols-3">
            <part.TextField name="perSession" label="Percent a class session late" inputMode="decimal" />
            <part.TextField name="grace" label="Class sessions of grace" inputMode="numeric" />
            <part.TextField name="floor" label="Never below, percent" inputMode="decimal" />
          </div>
        )}
      </div>
    </FieldGroup>
  );
}
