import { calculatorOf } from "@/core/handbook/calculators";
import { instant } from "@/platform/pages/dates";
import Link from "@/ui/link";
import { Figure } from "@/ui/working";
import { handbookHref, type ToldUse } from "../view/handbook";

/** Calculations that stay with something: what each comes to, from what, and who made it; opened to be changed. */
export function Uses({ uses }: { uses: readonly ToldUse[] }) {
  return (
    <ul>
      {uses.map((u) => (
        <li key={u.id} className="border-b border-line py-1.5 last:border-0">
          <Link href={u.href} className="font-[600] hover:text-iron">
            {u.name}
          </Link>
          {u.note && <span>: {u.note}</span>}
          <p>
            {u.results.map((r, i) => (
              <span key={r.name}>
                {i > 0 && ", "}
                {r.name}{" "}
                <Figure working={u.working!} unit={r.unit} className="font-[650]">
                  {r.text}
                </Figure>
              </span>
            ))}{" "}
            <span className="text-soft">{u.more}</span>
          </p>
          <p className="text-sm wrap-anywhere text-soft">
            {u.inputs && `${u.inputs} · `}
            {u.madeBy}, {instant(u.madeAt)}
          </p>
        </li>
      ))}
    </ul>
  );
}

/** Calculators that are near what a page is about, and made for it from there. */
export function Near({ base, ids, target }: { base: string; ids: readonly string[]; target: string }) {
  if (!ids.length) return null;
  return (
    <p className="no-print text-sm text-soft">
      From the handbook:{" "}
      {ids.map((id, i) => (
        <span key={id}>
          {i > 0 && ", "}
          <Link href={handbookHref(base, id, { for: target })} className="underline">
            {calculatorOf(id)!.name.toLowerCase()}
          </Link>
        </span>
      ))}
    </p>
  );
}
