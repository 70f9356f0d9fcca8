"use client";

import { useRouter } from "next/navigation";
import { useRef, useState } from "react";
import { cx } from "@/ui/classes";
import { keep } from "@/ui/kept";
import { buttonClass } from "@/ui/page";
import { useReady } from "@/ui/ready";
import { useTyping } from "@/ui/typing";
import { VerdictMark } from "@/ui/verdict";
import { checkAll, checkLine, type InspectionLine } from "../view/inspection";
import { type InspectionSent, useDay } from "./day-box";
import { focusNext, useNextKey } from "./sheet-keys";
import { SheetWords } from "./sheet-words";
import { WordChoice } from "./word-choice";

const keyOf = (buildId: string, after: number) => `ironstone.inspection.${buildId}.${after}`;

/**
 * The inspection of one build: each line with its limit, what was measured or seen, the margin and the verdict as it is
 * typed. Enter goes to the next line; N, where nothing is typed, to the next team.
 */
export function InspectionSheet({
  build,
  lines,
  next,
}: {
  build: { readonly id: string; readonly name: string; readonly after: number };
  lines: readonly InspectionLine[];
  /** The next team that waits. */
  next: { readonly name: string; readonly href: string } | null;
}) {
  const ready = useReady();
  const router = useRouter();
  const form = useRef<HTMLFormElement>(null);
  const day = useDay();
  const [typed, type] = useTyping<Record<string, string>>(
    keyOf(build.id, build.after),
    Object.fromEntries(lines.flatMap((l) => (l.rolled && l.declared ? [[l.key, l.declared]] : []))),
  );
  const [waiver, setWaiver] = useState("");
  const [note, setNote] = useState("");
  const [says, setSays] = useState<{ bad: boolean; text: string } | null>(null);
  const [tried, setTried] = useState(false);
  const { wrong, over, missing } = checkAll(lines, typed);
  const waives = over.length > 0 || (tried && missing.length > 0);
  const onNext = (from: HTMLElement) => focusNext(form.current, from);
  const end = (outcome: InspectionSent["outcome"]) => {
    const sent = day.items.some(
      ({ item, problem }) =>
        item.what === "inspection" && item.input.buildId === build.id && item.input.after === build.after && !problem,
    );
    if (sent) return;
    const bad = (text: string) => setSays({ bad: true, text });
    const at = lines.find((l) => wrong[l.key]);
    if (at) return bad(`${at.label}: ${wrong[at.key]}`);
    if (outcome === "turned away" && !note.trim()) return bad("Say in the note why it was turned away.");
    if (outcome === "passed" && !waiver.trim()) {
      if (over.length) return bad(`It does not keep ${over.join(", ")}. Turn it away, or write why it may start.`);
      setTried(true);
      if (missing.length) return bad(`Not looked at: ${missing.join(", ")}. Look, or write why it may start.`);
    }
    setSays(null);
    const input = { buildId: build.id, after: build.after, outcome, typed, waiver: waiver.trim(), note: note.trim() };
    const words = `${build.name}, ${outcome}`;
    day.add(
      { what: "inspection", input, words },
      {
        saved: () => {
          keep(keyOf(build.id, build.after), null);
          setSays({ bad: false, text: `${words}: saved.` });
        },
        refused: bad,
        waits: () => setSays({ bad: false, text: "No connection: this inspection waits and is sent by itself." }),
      },
    );
  };
  useNextKey(next && (() => router.push(next.href)));
  return (
    <form ref={form} aria-label={`Inspection of ${build.name}`} onSubmit={(e) => e.preventDefault()}>
      <ul className="mb-3">
        {lines.map((line) => {
          const check = checkLine(line, typed[line.key] ?? "");
          const label = line.code ? `${line.code} ${line.label}` : line.label;
          return (
            <li
              key={line.key}
              className="grid items-center gap-x-4 gap-y-1 border-b border-line py-2 sm:grid-cols-[1fr_270px_150px]"
            >
              <span>
                <span className={cx(line.must && "font-[600]")}>{label}</span>
                {line.asks && <span className="block text-sm text-soft">{line.asks}</span>}
              </span>
              {line.reads === "word" ? (
                <WordChoice
                  label={label}
                  value={typed[line.key] ?? ""}
                  disabled={!ready}
                  onPick={(word) => type({ [line.key]: word })}
                  onNext={onNext}
                />
              ) : (
                <span className="grid gap-0.5">
                  <input
                    data-line
                    aria-label={label}
                    disabled={!ready}
                    autoComplete="off"
                    inputMode={line.reads === "value" ? "decimal" : "text"}
                    className="input min-h-11 w-full text-[16px]"
                    value={typed[line.key] ?? ""}
                    onChange={(e) => {
                      type({ [line.key]: e.target.value });
                      setSays(null);
                    }}
                    onKeyDown={(e) => {
                      if (e.key !== "Enter") return;
                      e.preventDefault();
                      onNext(e.currentTarget);
                    }}
                  />
                  {line.declared && (
                    <span className="text-xs text-soft">
                      {line.rolled ? "from the record: " : "recorded by the team: "}
                      {line.declared}
                    </span>
                  )}
                </span>
              )}
              <span aria-live="polite" className="text-sm">
                {"wrong" in check ? (
                  <span className="text-iron">{check.wrong}</span>
                ) : (
                  <span className="inline-flex items-center gap-1.5">
                    <VerdictMark verdict={check.verdict} size={14} />
                    <span className={cx(check.verdict === "not met" && "text-iron")}>
                      {check.margin || (check.verdict === "untested" ? "not looked at" : check.verdict)}
                    </span>
                  </span>
                )}
              </span>
            </li>
          );
        })}
      </ul>
      <div className="grid gap-2.5">
        {waives && (
          <SheetWords
            label={
              over.length > 0
                ? `Over on ${over.join(", ")}: why it may start all the same`
                : "A line that was not looked at: why it may start all the same"
            }
            most={300}
            value={waiver}
            onChange={setWaiver}
          />
        )}
        <SheetWords
          label="Note (why it was turned away, what was seen besides)"
          most={400}
          value={note}
          onChange={setNote}
        />
        <div className="flex flex-wrap items-center gap-2.5">
          <button
            type="button"
            data-line
            disabled={!ready}
            className={`${buttonClass("main")} min-h-11 px-5 text-[15px]`}
            onClick={() => end("passed")}
          >
            {waives ? "Pass with a waiver" : "Pass"}
          </button>
          <button
            type="button"
            disabled={!ready}
            className={`${buttonClass()} min-h-11 px-5 text-[15px]`}
            onClick={() => end("turned away")}
          >
            Turn away
          </button>
          {next && (
            <a
              href={next.href}
              className={`${buttonClass("quiet")} min-h-11`}
              onClick={(e) => {
                e.preventDefault();
                router.push(next.href);
              }}
            >
              Next: {next.name} (N)
            </a>
          )}
        </div>
        {says && (
          <p role={says.bad ? "alert" : "status"} className={says.bad ? "text-iron" : "text-soft"}>
            {says.text}
          </p>
        )}
      </div>
    </form>
  );
}
