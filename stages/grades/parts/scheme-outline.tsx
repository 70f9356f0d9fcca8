"use client";

import { useFieldArray, useFormContext } from "react-hook-form";
import { endOf, sharesOfWhole } from "@/core/grades/outline";
import { Menu } from "@/ui/menu";
import { buttonClass } from "@/ui/page";
import { type Sources, shelf } from "../view/shelf";
import { moved, newPart, type OutlineMove, type TypedPart, type TypedScheme, underFactor } from "../view/typed-scheme";
import { SchemePart } from "./scheme-part";

const freshKey = () => `k-${crypto.randomUUID().slice(0, 8)}`;

/** The scheme as an outline: components and groups of them, in their order. */
export function SchemeOutline({ sources }: { sources: Sources }) {
  const { control, watch, getValues, setValue } = useFormContext<TypedScheme>();
  const { fields, replace } = useFieldArray({ control, name: "components" });
  const parts = watch("components");
  const shares = sharesOfWhole(parts);
  const sum = parts.reduce((s, p) => s + (p.depth ? 0 : Number(p.weight.replace(",", ".")) || 0), 0);
  const now = () => getValues("components");
  const insert = (at: number, part: TypedPart) => replace([...now().slice(0, at), part, ...now().slice(at)]);
  const move = (at: number, how: OutlineMove) => replace(moved(now(), at, how));
  return (
    <div className="grid gap-3">
      {fields.map((f, i) => (
        <SchemePart
          key={f.id}
          index={i}
          ofWhole={shares[i] ?? null}
          factor={sources.rounds.length > 0 && !underFactor(parts, i)}
          sources={sources}
          onMove={(how) => move(i, how)}
          onAdd={() => insert(endOf(now(), i), newPart(freshKey(), now()[i]!.depth + 1, { weight: "1" }))}
        />
      ))}
      <div className="flex flex-wrap items-center gap-x-4 gap-y-2 border-t border-line pt-2.5">
        <button
          type="button"
          className={buttonClass("quiet")}
          onClick={() => insert(now().length, newPart(freshKey(), 0))}
        >
          add a component
        </button>
        <button
          type="button"
          className={buttonClass("quiet")}
          onClick={() => insert(now().length, newPart(freshKey(), 0, { kind: "group" }))}
        >
          add a group
        </button>
        <Menu
          label="Take a scheme from the shelf in place of this one"
          trigger="from the shelf"
          triggerClass={buttonClass("quiet")}
          head="takes the place of what stands here"
          items={shelf.map((t) => ({
            label: `${t.name}: ${t.why}`,
            onSelect: () => {
              replace(t.parts(sources).map((p) => ({ ...p, key: freshKey() })));
              if (t.peers && sources.rounds[0]) setValue("round", sources.rounds[0].value);
            },
          }))}
        />
        <span className={sum === 100 ? "text-soft" : "text-ochre-deep"}>
          The weights make {Number(sum.toFixed(4))}
          {sum !== 100 && ", they should make 100"}.
        </span>
      </div>
    </div>
  );
}
