import { VerdictMark } from "@/ui/verdict";
import { Figure } from "@/ui/working";
import type { LimitCheck } from "../queries/attempts";

/** How an entry's build stands against the limits on mass, cost and size: what an inspector looks at. */
export function LimitMarks({ checks }: { checks: LimitCheck[] }) {
  return (
    <p className="flex flex-wrap gap-x-2">
      {checks.map((c) => (
        <Figure key={c.code} working={c.status.working} className="border-b-0">
          <span className="flex items-center gap-1 text-xs text-soft">
            {c.label}
            <VerdictMark verdict={c.status.value} size={12} />
          </span>
        </Figure>
      ))}
    </p>
  );
}
