"use client";

import { useState } from "react";
import { ActButton } from "@/ui/form/act-button";
import { giveLoginsAction } from "../actions";
import { type SlipShown, Slips } from "./slips";

/** Logins for everybody of a section who has none; what was made stays on the page until it is closed. */
export function SectionLogins({
  projectId,
  sections,
}: {
  projectId: string;
  /** How many students of each section have no login. */
  sections: readonly { id: string; name: string; without: number }[];
}) {
  const [slips, setSlips] = useState<readonly SlipShown[]>([]);
  const all = sections.reduce((n, s) => n + s.without, 0);
  const some = sections.filter((s) => s.without > 0);
  if (slips.length > 0) return <Slips slips={slips} onClose={() => setSlips([])} />;
  if (all === 0) return null;
  const make = (key: string, sectionId: string | undefined, words: string) => (
    <ActButton
      key={key}
      action={giveLoginsAction}
      input={{ projectId, sectionId }}
      onDone={(v) => setSlips((v as { slips: SlipShown[] }).slips)}
    >
      {words}
    </ActButton>
  );
  return (
    <div className="flex flex-wrap items-center gap-3">
      <p className="text-soft">{all === 1 ? "One student has" : `${all} students have`} no login yet.</p>
      {some.length > 1 && some.map((s) => make(s.id, s.id, `Make ${s.without} for section ${s.name}`))}
      {make("all", undefined, all === 1 ? "Make it" : `Make all ${all}`)}
    </div>
  );
}
