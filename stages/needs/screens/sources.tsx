import { sourceKind } from "@/core/vocabulary/needs";
import { projectPage } from "@/platform/pages/page";
import { shortDate } from "@/ui/date";
import Link from "@/ui/link";
import { Empty, PageHead, Sheet } from "@/ui/page";
import { noteActs } from "../acts";
import { NeedsTabs } from "../parts/needs-tabs";
import { SourceForm } from "../parts/source-form";

import { sourcesOf } from "../queries/notes";

export async function SourcesScreen({ slug }: { slug: string }) {
  const { frame } = await projectPage(slug, noteActs.write);
  const sources = await sourcesOf(frame.project.id);
  return (
    <>
      <PageHead
        title="Interviews and sources"
        note="Where the needs come from: what people said, what was watched, what exists already."
      />
      <NeedsTabs slug={slug} />
      <div className="grid items-start gap-5 lg:grid-cols-[minmax(0,1fr)_330px]">
        {sources.length === 0 ? (
          <Empty title="No source yet">
            Begin an interview: everybody opens it on the own screen and types notes under each question. Or note what
            you saw when you watched somebody at work, or what an existing product does.
          </Empty>
        ) : (
          <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Sources">
            <table className="table">
              <thead>
                <tr>
                  <th>Source</th>
                  <th>Kind</th>
                  <th>On</th>
                  <th>With</th>
                  <th className="num">Notes</th>
                  <th>State</th>
                </tr>
              </thead>
              <tbody>
                {sources.map((s) => (
                  <tr key={s.id}>
                    <td className="min-w-52 font-[600]">
                      <Link href={`/p/${slug}/needs/sources/${s.id}`} className="hover:text-iron">
                        {s.title}
                      </Link>
                    </td>
                    <td>{sourceKind.labels[s.kind]}</td>
                    <td className="whitespace-nowrap">{shortDate(s.heldOn)}</td>
                    <td>{s.who || "–"}</td>
                    <td className="num">{s.notes}</td>
                    <td>{s.closedAt ? "closed" : "open"}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
        )}
        <Sheet title="A new source">
          <SourceForm projectId={frame.project.id} slug={slug} today={frame.today} />
        </Sheet>
      </div>
    </>
  );
}
