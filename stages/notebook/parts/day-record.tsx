import { plural } from "@/platform/registry/words";
import Link from "@/ui/link";
import type { DayRecord } from "../queries-day";

/** What else the team recorded on the day of an entry, each leading there. */
export function DayRecordLine({ base, day }: { base: string; day: DayRecord | undefined }) {
  if (!day || day.builds.length + day.runs.length + day.reviews.length === 0) return null;
  const links = [
    ...day.builds.map((b) => ({ href: `${base}/builds/${b.id}`, text: `G${b.number} recorded` })),
    ...day.runs.map((r) => ({ href: `${base}/bench?build=${r.id}`, text: `${plural(r.n, "run")} of G${r.number}` })),
    ...day.reviews.map((r) => ({
      href: `${base}/reviews/${r.id}`,
      text: r.decisions.length ? `${r.title}, decided: ${r.decisions.join("; ")}` : r.title,
    })),
  ];
  return (
    <p className="mt-0.5 text-sm text-soft">
      That day:{" "}
      {links.map((l, i) => (
        <span key={l.href}>
          {i > 0 && " · "}
          <Link href={l.href} className="underline decoration-line underline-offset-3 hover:text-iron">
            {l.text}
          </Link>
        </span>
      ))}
    </p>
  );
}
