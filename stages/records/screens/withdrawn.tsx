import { instant } from "@/platform/pages/dates";
import { projectPage } from "@/platform/pages/page";
import { plural } from "@/platform/registry/words";
import { Empty, PageHead } from "@/ui/page";
import { DataTable } from "@/ui/table";
import { recordActs } from "../acts";
import { BringBack, Purge } from "../parts/buttons";
import { RecordsTabs } from "../parts/records-tabs";
import { withdrawalsOf } from "../queries/records";

/** What was taken out of the project and can be brought back: nothing that was entered is lost by a press. */
export async function WithdrawnScreen({ slug }: { slug: string }) {
  const { frame, may, actor } = await projectPage(slug);
  const rows = await withdrawalsOf(frame.project.id, actor);
  return (
    <>
      <PageHead
        title="Withdrawn"
        note="What was taken out, kept as it was. It counts nowhere until it is brought back."
      />
      <RecordsTabs slug={slug} />
      {rows.length === 0 ? (
        <Empty title="Nothing was taken out">
          A build, a review, a source, a task or a picture that is withdrawn waits here with everything that belonged to
          it.
        </Empty>
      ) : (
        <DataTable
          caption="Withdrawn"
          columns={[
            { key: "what", text: "What", className: "min-w-44 font-[600]" },
            { key: "kind", text: "Kind", className: "whitespace-nowrap" },
            { key: "along", text: "With it", className: "min-w-40" },
            { key: "reason", text: "Why", className: "min-w-40" },
            { key: "by", text: "By", className: "whitespace-nowrap" },
            { key: "act", text: "" },
          ]}
          rows={rows.map((r) => ({
            id: r.id,
            cells: {
              what: r.label,
              kind: r.kind,
              along: r.along.map((x) => plural(x.n, x.table.replaceAll("_", " "))).join(", ") || null,
              reason: r.reason || null,
              by: {
                value: r.at,
                show: (
                  <>
                    {r.by}
                    <span className="block text-sm text-soft">{instant(r.at)}</span>
                  </>
                ),
              },
              act: {
                value: "",
                show: (
                  <span className="flex flex-wrap items-center gap-x-3">
                    {!frame.project.finishedAt && <BringBack id={r.id} />}
                    {may(recordActs.purge) && <Purge id={r.id} label={r.label} />}
                  </span>
                ),
              },
            },
          }))}
        />
      )}
    </>
  );
}
