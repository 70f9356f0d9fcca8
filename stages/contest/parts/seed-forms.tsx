"use client";

import { fieldsOf } from "@/ui/form/fields-of";
import { UnfoldForm } from "@/ui/form/unfold-form";
import type { Option } from "@/ui/option";
import { seedByEventAction, seedByHandAction } from "../actions";
import { seedByEvent, seedByHand } from "../schema";
import { DrawForm } from "./draw-form";

const ranked = fieldsOf(seedByEvent);
const chosen = fieldsOf(seedByHand);

/** Who is seeded where: drawn with a seed that is shown before, in the order of another event, or by hand. */
export const SeedForms = ({
  id,
  version,
  seed,
  events,
  entries,
}: {
  id: string;
  version: number;
  seed: string;
  /** Other events with places. */
  events: readonly Option[];
  entries: readonly Option[];
}) => (
  <div className="grid gap-3">
    <DrawForm id={id} version={version} seed={seed} submit="Draw the seeds" />
    <span className="flex flex-wrap gap-x-4 gap-y-2">
      {events.length > 0 && (
        <UnfoldForm
          label="seed by another event's places"
          inline
          schema={seedByEvent}
          action={seedByEventAction}
          fixed={{ id, version }}
          defaults={{ from: "" }}
          submit="Seed"
        >
          <ranked.SelectField
            name="from"
            label="In the order of"
            empty="choose"
            options={[...events]}
            className="w-52"
          />
        </UnfoldForm>
      )}
      <UnfoldForm
        label="seed by hand"
        schema={seedByHand}
        action={seedByHandAction}
        fixed={{ id, version }}
        defaults={{ entries: [] }}
        submit="Seed in this order"
      >
        <chosen.ChoiceField
          ordered
          name="entries"
          label="The first seed first, then one after the other"
          options={[...entries]}
        />
      </UnfoldForm>
    </span>
  </div>
);
