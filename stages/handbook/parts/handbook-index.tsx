"use client";

import { useState } from "react";
import type { UnitSystem } from "@/core/vocabulary/project";
import { LinkButton, PageHead } from "@/ui/page";
import { useReady } from "@/ui/ready";
import { bySubject, handbookHref } from "../view/handbook";
import { TurnLink } from "./turn-link";

/** Every calculator by its subject, with what it is for; found by words. */
export function HandbookIndex({
  base,
  target,
  units,
  choose,
}: {
  base: string;
  /** What a calculation is meant for, as kind and id. */
  target: string;
  /** The units, where the address says them. */
  units?: UnitSystem;
  /** The units that are chosen here; null where the project has its own. */
  choose: UnitSystem | null;
}) {
  const [words, setWords] = useState("");
  const ready = useReady();
  const subjects = bySubject(words);
  return (
    <>
      <PageHead
        title="Handbook"
        note="What an engineer looks up: its formula, what it holds for, and every line of its working."
      >
        {!choose && <LinkButton href={`${base}/shop/settings`}>Machine settings</LinkButton>}
        {!choose && <LinkButton href={`${base}/handbook/trainer`}>Trainer</LinkButton>}
        <input
          className="input w-64 max-w-full"
          type="search"
          aria-label="Find a calculator"
          placeholder="gear, bend, battery…"
          disabled={!ready}
          value={words}
          onChange={(e) => setWords(e.target.value)}
        />
      </PageHead>
      {choose && (
        <p className="mb-3 text-sm text-soft">
          Bare numbers are {choose === "us" ? "US customary (lb, in)" : "metric (kg, mm)"}.{" "}
          <TurnLink href={handbookHref(base, "", { units: choose === "us" ? "metric" : "us" })} className="underline">
            {choose === "us" ? "Metric" : "US customary"}
          </TurnLink>
        </p>
      )}
      {subjects.length === 0 && <p className="text-soft">Nothing is called so. Try a shorter word.</p>}
      <div className="columns-1 gap-x-10 md:columns-2 xl:columns-3">
        {subjects.map(({ subject, found }) => (
          <section key={subject} className="mb-5 break-inside-avoid">
            <h2 className="border-b-2 border-stone-3 pb-0.5 first-letter:uppercase">{subject}</h2>
            <ul>
              {found.map((c) => (
                <li key={c.id} className="border-b border-line py-1.5">
                  <TurnLink
                    href={handbookHref(base, c.id, { for: target, units })}
                    className="font-[600] hover:text-iron"
                  >
                    {c.name}
                  </TurnLink>
                  <p className="text-sm text-soft">{c.use}</p>
                </li>
              ))}
            </ul>
          </section>
        ))}
      </div>
    </>
  );
}
