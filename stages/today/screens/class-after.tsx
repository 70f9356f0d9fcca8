import { plural } from "@/platform/registry/words";
import Link from "@/ui/link";
import { DataTable } from "@/ui/table";
import { ClassRemarkForm } from "../parts/class-remark-form";
import type { ClassPage } from "./class-page";

/** After class: what each team recorded on its day, who wrote nothing, and what is still open. */
export function ClassAfter({ slug, page }: { slug: string; page: ClassPage }) {
  const { view, facts, on } = page;
  const empty = view.recorded.filter((r) => r.nothing);
  return (
    <div className="grid items-start gap-x-8 gap-y-6 lg:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
      <div className="grid min-w-0 gap-6">
        <section aria-labelledby="recorded">
          <h2 id="recorded" className="mb-1.5">
            What was recorded on this day
          </h2>
          <DataTable
            caption="What was recorded"
            columns={[
              { key: "team", text: "Team" },
              { key: "builds", text: "Builds" },
              { key: "runs", text: "Runs", num: true },
              { key: "other", text: "Checked, reviewed, closed" },
              { key: "wrote", text: "Notebooks", num: true },
            ]}
            empty="No team of this section yet."
            rows={view.recorded.map((r) => ({
              id: r.id,
              cells: {
                team: {
                  value: r.name,
                  show: (
                    <Link href={`/p/${slug}/teams/${r.id}`} className="font-[600] hover:text-iron">
                      {r.name}
                    </Link>
                  ),
                },
                builds: r.builds.join(", "),
                runs: { value: r.runs, show: r.runs || "" },
                other: [...r.checks, ...r.reviews, ...r.closed].join("; "),
                wrote: { value: r.wrote, show: `${r.wrote} of ${r.here}` },
              },
            }))}
          />
          {empty.length > 0 && (
            <p className="mt-1.5 text-iron">
              Nothing of this day is in the record of{" "}
              {empty.length === view.recorded.length ? "any team" : empty.map((r) => r.name).join(", ")}.
            </p>
          )}
        </section>
        <section aria-labelledby="silent">
          <h2 id="silent" className="mb-1">
            Here, and nothing in the notebook
          </h2>
          {view.silent.length === 0 && <p className="text-soft">Everybody who was here wrote something.</p>}
          <ul>
            {view.silent.map((r) => (
              <li key={r.team} className="grid grid-cols-[7rem_1fr] gap-x-3 border-t border-line py-1.5">
                <strong className="font-[600]">{r.team}</strong>
                <span>{r.names.join(", ")}</span>
              </li>
            ))}
          </ul>
        </section>
      </div>
      <div className="grid min-w-0 gap-6">
        <section aria-label="Remark" className="sheet px-4 py-3">
          <ClassRemarkForm
            key={on.sectionId + on.onDate}
            on={on}
            version={facts.kept?.remarkVersion ?? 0}
            remark={facts.kept?.remark ?? ""}
          />
        </section>
        <section aria-labelledby="open">
          <h2 id="open" className="mb-1">
            Still open
          </h2>
          {!facts.kept?.takenAt && <p className="border-t border-line py-1.5">Attendance was not taken.</p>}
          {view.away.length > 0 && (
            <p className="border-t border-line py-1.5">
              {plural(view.away.length, "student was", "students were")} not here:{" "}
              {view.away.map((s) => `${s.name} (${s.mark!.state})`).join(", ")}
            </p>
          )}
          {view.unfinished.map((b) => (
            <p key={b.id} className="border-t border-line py-1.5">
              <Link href={`/p/${slug}/shop/machine/${b.toolId}`} className="hover:text-iron">
                {b.tool}, minute {b.starts}: {b.what}
              </Link>{" "}
              <span className="text-soft">{b.startedAt ? "was not ended" : "did not begin"}</span>
            </p>
          ))}
          {view.due
            .filter((d) => d.on <= on.onDate)
            .map((d) => (
              <p key={d.path + d.what + d.who} className="border-t border-line py-1.5">
                <Link href={`/p/${slug}${d.path}`} className="hover:text-iron">
                  {d.what}
                </Link>{" "}
                <span className="text-soft">{d.who}</span>
              </p>
            ))}
        </section>
      </div>
    </div>
  );
}
