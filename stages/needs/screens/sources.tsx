import { sourceKind } from "@/core/vocabulary/needs";
import { shortDate } from "@/platform/pages/dates";
import { projectPage } from "@/platform/pages/page";
import Link from "@/ui/link";
import { Empty, PageHead, Sheet } from "@/ui/page";
import { DataTable } from "@/ui/table";
import { noteActs } from "../acts";
import { NeedsTabs } from "../parts/needs-tabs";
import { SourceForm } from "../parts/source-form";

import { sourcesOf } from "../queries/notes";

export async function SourcesScreen({ slug }: { slug: string }) {
  const { frame, staff } = await projectPage(slug, noteActs.write);
  const sources = await sourcesOf(frame.project.id);
  return (
    <>
      <PageHead
        title="Interviews and sources"
        note="Where the needs come from: what people said, what was watched, what exists already."
      />
      <NeedsTabs slug={slug} staff={staff} />
      <div className="grid items-start gap-5 lg:grid-cols-[minmax(0,1fr)_330px]">
        {sources.length === 0 ? (
          <Empty title="No source yet">
            Begin an interview: everybody opens it on the own screen and types notes under each question. Or note what
            you saw when you watched somebody at work, or what an existing product does.
          </Empty>
        ) : (
          <DataTable
            caption="Sources"
            columns={[
              { key: "title", text: "Source", className: "min-w-52 font-[600]" },
              { key: "kind", text: "Kind" },
              { key: "on", text: "On", className: "whitespace-nowrap" },
              { key: "with", text: "With" },
              { key: "notes", text: "Notes", num: true },
              { key: "state", text: "State" },
            ]}
            rows={sources.map((s) => ({
              id: s.id,
              cells: {
                title: {
                  value: s.title,
                  show: (
                    <Link href={`/p/${slug}/needs/sources/${s.id}`} className="hover:text-iron">
                      {s.title}
                    </Link>
                  ),
                },
                kind: sourceKind.labels[s.kind],
                on: { value: s.heldOn, show: shortDate(s.heldOn) },
                with: s.who || null,
                notes: s.notes,
                state: s.closedAt ? "closed" : "open",
              },
            }))}
          />
        )}
        <Sheet title="A new source">
          <SourceForm projectId={frame.project.id} slug={slug} today={frame.today} />
        </Sheet>
      </div>
    </>
  );
}
