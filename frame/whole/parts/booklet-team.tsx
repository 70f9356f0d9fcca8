import { longDate } from "@/platform/pages/dates";
import { VerdictMark } from "@/ui/verdict";
import type { BookletGeneration } from "../booklet-view";

/** A team's generations in print: a picture beside each, what changed, what it reached and what it taught. */
export const BookletGenerations = ({
  generations,
  counted,
  massUnit,
}: {
  generations: readonly BookletGeneration[];
  /** What the number that they reached is. */
  counted: string;
  massUnit: string;
}) => (
  <ol>
    {generations.map((g) => (
      <li
        key={g.id}
        className="grid grid-cols-[minmax(0,1fr)_9rem] gap-x-4 border-t border-line py-2 break-inside-avoid"
      >
        <div className="min-w-0 wrap-anywhere">
          <p>
            <span className="font-[650]">
              G{g.number} {g.stage}
            </span>{" "}
            <span className="text-soft">
              {longDate(g.builtOn)}
              {g.mass && ` · ${g.mass} ${massUnit}`}
            </span>
          </p>
          <p>
            {g.whatChanged}
            {g.why && <span className="text-soft"> · {g.why}</span>}
          </p>
          {g.counted && (
            <p>
              <span className="text-soft">{counted}:</span> <span className="font-[650]">{g.counted.shown}</span>
            </p>
          )}
          {g.failures.map((f) => (
            <p key={f.id} className="text-sm">
              <span className="text-iron">Failed:</span> {f.says}
            </p>
          ))}
          {g.lessons.map((l) => (
            <p key={l} className="text-sm italic">
              {l}
            </p>
          ))}
        </div>
        {g.picture && (
          <img
            src={`/api/file/${g.picture}`}
            alt={`G${g.number}`}
            className="w-36 self-start rounded-sm border border-line"
          />
        )}
      </li>
    ))}
  </ol>
);

/** What holds of the last build, in two columns of small print. */
export const BookletVerdicts = ({
  verdicts,
}: {
  verdicts: readonly {
    readonly id: string;
    readonly code: string;
    readonly statement: string;
    readonly verdict: Parameters<typeof VerdictMark>[0]["verdict"];
  }[];
}) => (
  <ul className="grid gap-x-6 text-sm sm:grid-cols-2 print:grid-cols-2">
    {verdicts.map((v) => (
      <li key={v.id} className="flex items-baseline gap-2 border-t border-line py-0.5 break-inside-avoid">
        <span className="shrink-0">
          <VerdictMark verdict={v.verdict} />
        </span>
        <span className="min-w-0 wrap-anywhere">
          {v.code} {v.statement}
        </span>
      </li>
    ))}
  </ul>
);
