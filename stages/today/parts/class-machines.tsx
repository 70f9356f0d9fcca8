import Link from "@/ui/link";
import type { ClassView } from "../view/classes";

/** Who is at which machine in a class, and when. */
export const MachinesOfClass = ({ slug, machines }: { slug: string; machines: ClassView["machines"] }) => (
  <section aria-labelledby="machines">
    <h2 id="machines" className="mb-1">
      At the machines
    </h2>
    {machines.length === 0 && <p className="text-soft">Nobody has a machine in this class.</p>}
    <ul>
      {machines.map((b) => (
        <li key={b.id} className="grid grid-cols-[4.5rem_1fr_auto] items-baseline gap-x-3 border-t border-line py-1.5">
          <span className="tabular-nums">
            {b.starts}–{b.starts! + b.minutes}
            {b.period! > 1 && <span className="block text-sm text-soft">period {b.period}</span>}
          </span>
          <span className="min-w-0 wrap-anywhere">
            <strong className="font-[600]">{b.team}</strong>
            {b.operator && `, ${b.operator}`}: {b.what}
            {b.inTheWay.map((x) => (
              <span key={x} className="block text-sm text-iron">
                {x}
              </span>
            ))}
            <span className="block text-sm text-soft">
              {b.outcome ?? (b.startedAt ? "at the machine now" : "has not begun")}
            </span>
          </span>
          <Link href={`/p/${slug}/shop/machine/${b.toolId}`} className="hover:text-iron">
            {b.tool}
          </Link>
        </li>
      ))}
    </ul>
  </section>
);
