"use client";

import { useEffect, useState } from "react";
import { buttonClass } from "@/ui/page";

export interface SlipShown {
  name: string;
  section: string;
  signIn: string;
  password: string;
}

/** First passwords, once: a list for the instructor, and on paper a slip for each student to cut out. */
export function Slips({ slips, onClose }: { slips: readonly SlipShown[]; onClose: () => void }) {
  const [where, setWhere] = useState("");
  const [copied, setCopied] = useState(false);
  useEffect(() => setWhere(`${location.host}/sign-in`), []);
  useEffect(() => {
    const warn = (e: BeforeUnloadEvent) => e.preventDefault();
    window.addEventListener("beforeunload", warn);
    return () => window.removeEventListener("beforeunload", warn);
  }, []);
  const table = slips.map((x) => [x.name, x.section, x.signIn, x.password].join("\t")).join("\n");
  return (
    <section aria-label="New logins" className="sheet p-4" data-print-alone="">
      <div className="no-print mb-3 flex flex-wrap items-center justify-between gap-3">
        <p>
          <strong>{slips.length === 1 ? "One login" : `${slips.length} logins`}.</strong> The passwords are shown this
          once: print the slips, or copy the list, before you close it.
        </p>
        <span className="flex flex-wrap gap-2">
          <button type="button" className={buttonClass("main")} onClick={() => window.print()}>
            Print slips
          </button>
          <button
            type="button"
            className={buttonClass("plain")}
            onClick={async () => {
              await navigator.clipboard.writeText(`Student\tSection\tSign-in name\tPassword\n${table}`);
              setCopied(true);
            }}
          >
            {copied ? "Copied" : "Copy the list"}
          </button>
          <button type="button" className={buttonClass("quiet")} onClick={onClose}>
            Close
          </button>
        </span>
      </div>
      <ul className="grid gap-0 sm:grid-cols-2 print:grid-cols-2">
        {slips.map((x) => (
          <li key={x.signIn} className="break-inside-avoid border border-dashed border-line p-3">
            <p className="font-[600]">
              {x.name} <span className="font-normal text-soft">{x.section && `section ${x.section}`}</span>
            </p>
            <dl className="mt-1 grid grid-cols-[auto_1fr] gap-x-3 text-sm">
              <dt className="text-soft">Address</dt>
              <dd>{where}</dd>
              <dt className="text-soft">Sign-in name</dt>
              <dd className="font-mono break-all">{x.signIn}</dd>
              <dt className="text-soft">Password</dt>
              <dd className="font-mono">{x.password}</dd>
            </dl>
            <p className="mt-1 text-[13px] text-soft">Choose your own password under your initials, top right.</p>
          </li>
        ))}
      </ul>
    </section>
  );
}
