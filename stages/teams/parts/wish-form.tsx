"use client";

import { useState } from "react";
import { ActButton } from "@/ui/form/act-button";
import type { Option } from "@/ui/option";
import { buttonClass } from "@/ui/page";
import { Select } from "@/ui/select";
import { saveWishesAction } from "../actions";

export function WishForm({
  projectId,
  personId,
  people,
  ideas,
  chosen,
}: {
  projectId: string;
  personId: string;
  people: Option[];
  ideas: Option[];
  chosen: { people: string[]; ideas: string[] };
}) {
  const [w, setW] = useState(chosen);
  const list = (key: "people" | "ideas", label: string, options: Option[], most: number) => (
    <fieldset className="grid gap-1">
      <legend className="text-[12.5px] font-[600]">{label}</legend>
      <ol className="grid gap-1">
        {w[key].map((id, i) => (
          <li key={id} className="flex items-center gap-2">
            <span className="w-5 text-right text-soft">{i + 1}</span>
            <span className="grow">{options.find((o) => o.value === id)?.label}</span>
            {i > 0 && (
              <button
                type="button"
                className={buttonClass("quiet")}
                onClick={() => {
                  const n = [...w[key]];
                  [n[i - 1], n[i]] = [n[i]!, n[i - 1]!];
                  setW({ ...w, [key]: n });
                }}
              >
                up
              </button>
            )}
            <button
              type="button"
              className={buttonClass("quiet")}
              onClick={() => setW({ ...w, [key]: w[key].filter((x) => x !== id) })}
            >
              remove
            </button>
          </li>
        ))}
      </ol>
      {w[key].length < most && (
        <Select
          aria-label={`Add: ${label}`}
          value=""
          onChange={(v) => v && setW({ ...w, [key]: [...w[key], v] })}
          empty="add…"
          options={options.filter((o) => !w[key].includes(o.value))}
        />
      )}
    </fieldset>
  );
  return (
    <div className="grid max-w-xl gap-4">
      {ideas.length > 0 && list("ideas", "Ideas I would like to work on, the dearest first", ideas, 5)}
      {list("people", "People I work well with", people, 4)}
      <p className="text-sm text-soft">
        Only your instructors see your wishes. They are weighed with everybody else's; not all can be met.
      </p>
      <ActButton key={JSON.stringify(w)} action={saveWishesAction} input={{ projectId, personId, ...w }} look="main">
        Save my wishes
      </ActButton>
    </div>
  );
}
