import { cureLines } from "@/core/records/cures";
import { faultState } from "@/core/vocabulary/builds";
import { projectPage } from "@/platform/pages/page";
import { plural } from "@/platform/registry/words";
import Link from "@/ui/link";
import { Empty, PageHead } from "@/ui/page";
import { RecordsTabs } from "../parts/records-tabs";
import { faultsOver, type ToldFault } from "../queries/cures";
import { editionLine } from "../queries/records";

/** Causes of failures over the years, and what cured them. */
export async function CuresScreen({ slug }: { slug: string }) {
  const { frame, actor } = await projectPage(slug);
  const p = frame.project;
  const line = await editionLine(p.id);
  const faults = await faultsOver(line);
  const lines = cureLines(faults);
  const build = (f: ToldFault, id: string | null, n: number) =>
    id && actor.projects[f.projectId] ? (
      <Link href={`/p/${f.slug}/builds/${id}`} className="font-[600] hover:text-iron">
        {f.team} G{n}
      </Link>
    ) : (
      <span className="font-[600]">
        {f.team} G{n}
      </span>
    );
  return (
    <>
      <PageHead
        title="Faults and cures"
        note={
          `${plural(faults.length, "failure")} in ${plural(line.length, "edition")}. ` +
          "A cure held where the next builds ran and the team did not record the same cause again."
        }
      />
      <RecordsTabs slug={slug} />
      {lines.length === 0 ? (
        <Empty title="No failure is recorded">
          They are written down on a build's page, with the likely cause; the build that answers one says what changed.
        </Empty>
      ) : (
        <ul className="grid gap-x-8 gap-y-5 lg:grid-cols-2">
          {lines.map((l) => (
            <li key={l.cause} className="min-w-0 border-t border-line pt-2">
              <h2 className="text-base">
                {l.cause}{" "}
                <span className="font-[400] text-soft">
                  {plural(l.times, "time")} on {plural(l.builds, "build")}
                  {l.editions > 1 && `, in ${l.editions} editions`} · {l.held} cured
                  {l.cameBack > 0 && `, ${l.cameBack} came back`}
                </span>
              </h2>
              <ul>
                {l.faults.map(({ fault: f, held }) => (
                  <li key={f.id} className="border-t border-line py-1 wrap-anywhere">
                    {build(f, f.buildId, f.build)} {f.mode}
                    {f.projectId !== p.id && <span className="text-soft">, {f.edition}</span>}
                    <span className="block text-sm">
                      {f.answeredBy !== null && f.cure !== null && (
                        <>
                          {build(f, f.cureId, f.answeredBy)} {f.cure}{" "}
                        </>
                      )}
                      <span className={held === "came back" ? "text-iron" : "text-soft"}>
                        {faultState.labels[held]}
                      </span>
                    </span>
                  </li>
                ))}
              </ul>
            </li>
          ))}
        </ul>
      )}
    </>
  );
}
