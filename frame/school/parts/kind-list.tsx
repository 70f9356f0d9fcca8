import type { TemplateShown } from "@/stages/templates/view";
import Link from "@/ui/link";

/** The kinds of project that one can begin with. */
export const KindList = ({ kinds }: { kinds: readonly (TemplateShown & { readonly key: string })[] }) => (
  <section aria-labelledby="kinds" className="max-lg:order-first">
    <h2 id="kinds">Or begin with a kind of project</h2>
    <p className="mb-2 text-soft">
      Brief, rules, protocols, plan, events and grading stand ready: choose your dates, bring in the roster, and begin.
    </p>
    <ul>
      {kinds.map((k) => (
        <li key={k.key} className="border-t border-line py-2">
          <Link href={`/new?kind=${k.key}`} className="font-[600] hover:text-iron">
            {k.name}
          </Link>
          <span className="block">{k.about}</span>
          <span className="block text-sm text-soft">
            {k.project.title} · {k.holds}
          </span>
        </li>
      ))}
    </ul>
  </section>
);
