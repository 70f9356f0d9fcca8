"use client";

import { donatedMethod } from "@/core/vocabulary/builds";
import { countersignMethod } from "@/core/vocabulary/classroom";
import { conceptMethod } from "@/core/vocabulary/concepts";
import { dateStyle, gateStrictness, unitSystem } from "@/core/vocabulary/project";
import { shareMethod, teamMethod } from "@/core/vocabulary/teams";
import { settings } from "@/platform/project/schema";

import { ActionForm } from "@/ui/form/action-form";
import { fieldsOf } from "@/ui/form/fields-of";
import { saveSettingsAction } from "../actions";

const { TextField, SelectField } = fieldsOf(settings);

/** Where good instructors differ: each choice with its reason. */
export const SchoolsForm = ({ projectId, values }: { projectId: string; values: Record<string, string | number> }) => (
  <ActionForm
    schema={settings}
    action={saveSettingsAction}
    fixed={{ projectId }}
    defaults={values}
    submit="Keep these schools"
    saved="Kept."
    className="grid gap-4"
  >
    <SelectField
      name="conceptSchool"
      label="Who selects concepts"
      options={conceptMethod.options}
      hint={
        "The client has to live with it; a panel knows more; a vote makes it the class's own; a matrix says " +
        "what mattered. A must that is broken is always shown."
      }
    />
    <SelectField
      name="teamSchool"
      label="When and how teams form"
      options={teamMethod.options}
      hint={
        "An idea carries its authors; a draw is nobody's fault; choice makes teams willing; assigning and " +
        "the solver leave nobody over."
      }
    />
    <div className="grid grid-cols-2 gap-4">
      <TextField name="teamMin" label="Smallest team" type="number" />
      <TextField name="teamMax" label="Largest team" type="number" />
    </div>
    <SelectField
      name="gateStrictness"
      label="Gate before material"
      options={gateStrictness.options}
      hint="Warning teaches without standing in the way; blocking saves the dear material; none lets hands think first."
    />
    <SelectField
      name="units"
      label="Units"
      options={unitSystem.options}
      hint="What masses and sizes are shown in, and what a bare number means; any unit can be typed."
    />
    <SelectField
      name="dates"
      label="Dates"
      options={dateStyle.options}
      hint="How this project writes them, on every page and for its guests."
    />
    <TextField
      name="individualMin"
      label="Generations of one's own"
      type="number"
      hint={
        "How many each student makes alone before the team brings them together: everybody has built something, " +
        "and knows why. 0 asks for none."
      }
    />
    <SelectField
      name="countersign"
      label="Notebooks are countersigned"
      options={countersignMethod.options}
      hint="A signed entry is harder to make up later; a student chooses whom to show it to."
    />
    <SelectField
      name="donated"
      label="Donated parts"
      options={donatedMethod.options}
      hint="What they cost in a build's parts list, and so against a limit on cost."
    />
    <SelectField
      name="shareSchool"
      label="Equal shares"
      options={shareMethod.options}
      hint="Counting is fair to see; roles let each do what they are good at."
    />
  </ActionForm>
);
