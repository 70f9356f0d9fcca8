import { auditOf } from "@/platform/audit/audit";
import { isId } from "@/platform/db/id";
import { instant } from "@/platform/pages/dates";
import { projectPage } from "@/platform/pages/page";
import { projectActs } from "@/platform/project/acts";
import { Fold } from "@/ui/fold";
import Link from "@/ui/link";
import { buttonClass, Empty, PageHead } from "@/ui/page";
import { DataTable } from "@/ui/table";

const words = (act: string) => act.replace(/([A-Z])/g, " $1").toLowerCase();

/** Who did what, when: newest first, with both values. */
export async function AuditScreen({ slug, q, before }: { slug: string; q: string; before?: string }) {
  const { frame } = await projectPage(slug, projectActs.audit);
  const page = 60;
  const rows = await auditOf(frame.project.id, { words: q, before: isId(before) ? before : null, limit: page });
  return (
    <>
      <PageHead title="Audit" note="Everything that was written in this project, by whom and when.">
        <form className="flex gap-2">
          <input
            name="q"
            defaultValue={q}
            className="input w-56"
            placeholder="Name, act or record"
            aria-label="Filter the audit"
          />
          <button type="submit" className={buttonClass()}>
            Filter
          </button>
        </form>
      </PageHead>
      {rows.length === 0 ? (
        <Empty title="Nothing fits">No record of the audit fits “{q}”.</Empty>
      ) : (
        <DataTable
          caption="Audit"
          columns={[
            { key: "when", text: "When", className: "whitespace-nowrap" },
            { key: "who", text: "Who" },
            { key: "did", text: "Did" },
            { key: "to", text: "To" },
            { key: "reason", text: "Reason", className: "text-soft" },
          ]}
          rows={rows.map((r) => ({
            id: r.id,
            cells: {
              when: { value: r.at, show: instant(r.at) },
              who: {
                value: r.actorName,
                show: (
                  <>
                    {r.actorName}
                    {r.actorKind === "guest" && <span className="text-soft"> (guest)</span>}
                  </>
                ),
              },
              did: words(r.act),
              to: { value: r.label || r.subjectType, show: <Subject row={r} /> },
              reason: r.reason || "",
            },
          }))}
        />
      )}
      {rows.length === page && (
        <p className="mt-3">
          <Link href={`/p/${slug}/audit?q=${encodeURIComponent(q)}&before=${rows.at(-1)!.id}`} className="underline">
            Older
          </Link>
        </p>
      )}
    </>
  );
}

function Subject({ row: r }: { row: Awaited<ReturnType<typeof auditOf>>[number] }) {
  const values = [
    ["before", r.before],
    ["after", r.after],
  ] as const;
  return (
    <>
      {r.label || r.subjectType}
      {(r.before !== null || r.after !== null) && (
        <Fold className="text-sm" labelClass="text-soft" label="values">
          <div className="grid gap-2 md:grid-cols-2">
            {values.map(
              ([k, v]) =>
                v !== null && (
                  <pre
                    key={k}
                    className="max-h-52 max-w-[52ch] overflow-auto bg-ground p-2 text-xs whitespace-pre-wrap"
                  >
                    {k}: {typeof v === "string" ? v : JSON.stringify(v, null, 1)}
                  </pre>
                ),
            )}
          </div>
        </Fold>
      )}
    </>
  );
}
