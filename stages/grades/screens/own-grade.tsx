import type { Working } from "@/core/working/working";
import { instant } from "@/platform/pages/dates";
import { Empty, PageHead } from "@/ui/page";
import { Figure } from "@/ui/working";
import { publicationsOf } from "../queries";

/** A student's own published grade; nothing before it is published, and never anybody else's. */
export async function OwnGrade({ projectId, personId }: { projectId: string; personId: string }) {
  const publications = await publicationsOf(projectId);
  const lines = publications.flatMap((x) => {
    const l = x.ledger.find((y) => y.personId === personId);
    return l ? [{ x, l }] : [];
  });
  const now = lines[0];
  if (!now)
    return (
      <>
        <PageHead title="My grade" />
        <Empty title="Nothing is published yet">
          When your instructor publishes grades, yours stands here and opens into its arithmetic.
        </Empty>
      </>
    );
  return (
    <>
      <PageHead
        title="My grade"
        note={
          `Version ${now.x.number}, published ${instant(now.x.publishedAt)} by ${now.x.publishedBy}` +
          `${now.x.whatChanged ? `: ${now.x.whatChanged}` : ""}`
        }
      />
      <p className="mb-4 text-[30px] font-[650]">
        <Figure working={now.l.working as Working} unit="%">
          {now.l.grade ?? "–"}
        </Figure>
      </p>
      <table className="table max-w-[520px]">
        <thead>
          <tr>
            <th>Component</th>
            <th className="num">Weight</th>
            <th className="num">
              Mine <span className="unit">%</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {now.l.components.map((c) => (
            <tr key={c.key}>
              <td>
                {c.name}
                {(c.computed || c.reason) && (
                  <span className="block text-sm text-soft">
                    {c.computed && `set by hand; computed: ${c.computed}${/^\d/.test(c.computed) ? " %" : ""}. `}
                    {c.reason}
                  </span>
                )}
              </td>
              <td className="num">{c.weight}</td>
              <td className="num">
                {c.percent === null ? (
                  <span className="text-soft">{c.state}</span>
                ) : (
                  `${Number(c.percent).toFixed(1)}${c.state === "missing" ? " (missing)" : ""}`
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {lines.length > 1 && (
        <p className="mt-3 text-sm text-soft">
          Earlier:{" "}
          {lines
            .slice(1)
            .map(({ x, l }) => `version ${x.number}: ${l.grade ?? "–"} %`)
            .join(", ")}
        </p>
      )}
    </>
  );
}
