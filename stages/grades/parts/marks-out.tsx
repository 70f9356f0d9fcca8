"use client";

import { useId, useState } from "react";
import { decimalSign, markIdentifier } from "@/core/vocabulary/grades";
import type { Option } from "@/ui/option";
import { LinkButton } from "@/ui/page";
import { Select } from "@/ui/select";

/** A choice under its label. */
function Choice({
  label,
  ...select
}: {
  label: string;
  value: string;
  onChange: (value: string) => void;
  empty: string;
  options: readonly Option[];
}) {
  const id = useId();
  return (
    <div className="grid gap-1">
      <span id={id} className="text-[12.5px] font-[600]">
        {label}
      </span>
      <Select aria-labelledby={id} {...select} />
    </div>
  );
}

/** Takes the gradebook out as a list for a spreadsheet, as the school knows its students and writes its numbers. */
export function MarksOut({ slug, sections }: { slug: string; sections: Option[] }) {
  const [by, setBy] = useState("");
  const [decimal, setDecimal] = useState("");
  const [section, setSection] = useState("");
  const asked = Object.entries({ by, decimal, section }).filter(([, value]) => value !== "");
  const query = new URLSearchParams(asked).toString();
  const [first, ...others] = decimalSign.options;
  return (
    <div className="grid gap-3">
      <Choice
        label="Students by"
        value={by}
        onChange={setBy}
        empty="name and e-mail"
        options={markIdentifier.options}
      />
      <Choice label="Numbers as" value={decimal} onChange={setDecimal} empty={first!.label} options={others} />
      {sections.length > 1 && (
        <Choice label="Of" value={section} onChange={setSection} empty="all sections" options={sections} />
      )}
      <div>
        <LinkButton href={`/p/${slug}/csv/gradebook${query && `?${query}`}`} download look="main">
          Take out as CSV
        </LinkButton>
      </div>
    </div>
  );
}
