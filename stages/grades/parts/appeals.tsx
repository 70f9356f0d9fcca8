import { appealOutcome } from "@/core/vocabulary/grades";
import { instant } from "@/platform/pages/dates";
import { Sheet } from "@/ui/page";
import type { Appeal } from "../queries/appeals";
import { AnswerForm } from "./appeal-forms";

/** What a student asked about the grade, and the answers. */
export function Appeals({
  appeals,
  nameOf,
  staff,
}: {
  appeals: readonly Appeal[];
  nameOf: (component: string) => string;
  staff: boolean;
}) {
  if (!appeals.length) return null;
  return (
    <Sheet className="mt-4 max-w-[640px]" title={staff ? "Asked to look again" : "You asked"}>
      {appeals.map((a) => (
        <div key={a.id} className="grid gap-1.5 border-b border-line py-2 last:border-0">
          <p className="text-sm text-soft">
            {instant(a.filedAt)}, about {a.component ? nameOf(a.component) : "the grade"} in version {a.number}
          </p>
          <blockquote className="border-l-3 border-stone-3 pl-2">{a.words}</blockquote>
          {a.outcome ? (
            <p>
              <strong className="font-[650]">{appealOutcome.labels[a.outcome]}</strong>: {a.answer}{" "}
              <span className="text-soft">{a.answeredBy}</span>
            </p>
          ) : (
            !staff && <p className="text-soft">Not answered yet.</p>
          )}
          {staff && <AnswerForm id={a.id} version={a.version} outcome={a.outcome ?? ""} answer={a.answer} />}
        </div>
      ))}
    </Sheet>
  );
}
