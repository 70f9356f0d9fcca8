import { longDate } from "@/platform/pages/dates";
import { plural } from "@/platform/registry/words";
import type { Shown } from "../queries-day";
import { Sign } from "./countersign";

/** What others have shown to a student, to be read and signed. */
export const ToSign = ({ shown }: { shown: readonly Shown[] }) =>
  shown.length > 0 && (
    <section aria-labelledby="to-sign" className="border-l-4 border-ochre bg-ochre-wash px-3 py-2">
      <h2 id="to-sign" className="text-base">
        To countersign
      </h2>
      <ul className="grid gap-3">
        {shown.map((s) => (
          <li key={s.id}>
            <p className="text-sm text-soft">
              {s.writer}, {longDate(s.onDate)}
              {s.number !== null && ", amended since you signed"}
              {s.pictures > 0 && ` · ${plural(s.pictures, "picture")}: look at them together`}
            </p>
            <p className="max-w-[72ch] whitespace-pre-wrap wrap-anywhere">{s.text}</p>
            <Sign id={s.id} number={s.version} of={`of ${s.writer}, ${longDate(s.onDate)}`} />
          </li>
        ))}
      </ul>
    </section>
  );
