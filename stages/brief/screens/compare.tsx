import { diffArrays } from "diff";
import { instant, shortDate } from "@/platform/pages/dates";
import { projectPage } from "@/platform/pages/page";
import { studentsOf } from "@/stages/people/queries/students";
import Link from "@/ui/link";
import { Empty, PageHead } from "@/ui/page";
import { briefActs } from "../acts";
import { BriefTabs } from "../parts/brief-tabs";
import { briefVersions, readingsOf } from "../queries";

/** Two versions side by side, with what went and what came; and who has read up to which. */
export async function CompareScreen({ slug, a, b }: { slug: string; a?: string; b?: string }) {
  const { frame, staff } = await projectPage(slug, briefActs.read);
  const [versions, students, readings] = await Promise.all([
    briefVersions(frame.project.id),
    studentsOf(frame.project.id),
    readingsOf(frame.project.id),
  ]);
  const newest = versions[0];
  if (!newest)
    return (
      <>
        <PageHead title="Versions" />
        <BriefTabs slug={slug} />
        <Empty title="The brief is not written yet">Its versions are compared here.</Empty>
      </>
    );
  const right = versions.find((v) => String(v.number) === b) ?? newest;
  const left =
    versions.find((v) => String(v.number) === a) ?? versions.find((v) => v.number === right.number - 1) ?? right;
  // Whole words and numbers are compared, without the marks of headings and emphasis.
  const words = (body: string) =>
    body
      .replace(/\*\*|__|`/g, "")
      .replace(/^#{1,4}\s+(.+)$/gm, (_, title: string) => title.toUpperCase())
      .split(/(\s+)/);
  const parts = diffArrays(words(left.body), words(right.body)).map((p) => ({ ...p, value: p.value.join("") }));
  const changed = parts.filter((p, i) => p.removed || (p.added && !parts[i - 1]?.removed)).length;
  const side = (drop: "added" | "removed") =>
    parts
      .filter((p) => !p[drop])
      .map((p, i) =>
        p.added ? (
          <ins key={i} className="rounded-sm bg-[#c9d8b4] font-[650] no-underline">
            {p.value}
          </ins>
        ) : p.removed ? (
          <del key={i} className="rounded-sm bg-[#eecabd] font-[650]">
            {p.value}
          </del>
        ) : (
          <span key={i}>{p.value}</span>
        ),
      );
  const pick = (key: "a" | "b", now: number) =>
    versions.map((v, i) => (
      <span key={v.id}>
        {i > 0 && " · "}
        <Link
          href={
            `/p/${slug}/brief/compare?a=${key === "a" ? v.number : left.number}&b=` +
            `${key === "b" ? v.number : right.number}`
          }
          aria-current={v.number === now ? "true" : undefined}
          className={v.number === now ? "font-[650] text-iron" : "text-soft hover:text-ink"}
        >
          v{v.number}
        </Link>
      </span>
    ));
  const read = new Map(readings.map((r) => [r.personId, r]));
  return (
    <>
      <PageHead
        title="Versions"
        note={
          left.id === right.id
            ? "There is one version."
            : changed
              ? `${changed} ${changed === 1 ? "place differs" : "places differ"} between version ${left.number} ` +
                `and version ${right.number}.`
              : "The two texts are the same."
        }
      />
      <BriefTabs slug={slug} />
      <div className="grid gap-5 md:grid-cols-2">
        {(
          [
            ["a", left, "added"],
            ["b", right, "removed"],
          ] as const
        ).map(([key, v, drop]) => (
          <section key={key} className="min-w-0">
            <p className="no-print mb-1">{pick(key, v.number)}</p>
            <div className="sheet px-4 py-3">
              <p className="mb-2 text-sm text-soft">
                Version {v.number}, {instant(v.createdAt)}, {v.createdBy}
                {v.whatChanged && `: ${v.whatChanged}`}
              </p>
              <div className="whitespace-pre-wrap wrap-break-word">{side(drop)}</div>
            </div>
          </section>
        ))}
      </div>
      {staff && students.length > 0 && (
        <section className="mt-6">
          <h2 className="mb-2">Who has read which version</h2>
          <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Readers">
            <table className="table">
              <thead>
                <tr>
                  <th>Student</th>
                  <th>Section</th>
                  <th>Team</th>
                  <th>Has read up to</th>
                </tr>
              </thead>
              <tbody>
                {students.map((s) => {
                  const r = read.get(s.id);
                  return (
                    <tr key={s.id}>
                      <td>{s.name}</td>
                      <td>{s.section}</td>
                      <td>{s.team ?? "–"}</td>
                      <td>
                        {!r ? (
                          <span className="text-iron">none</span>
                        ) : r.number === newest.number ? (
                          <span className="text-moss">version {r.number}</span>
                        ) : (
                          <span className="text-ochre-deep">version {r.number}</span>
                        )}
                        {r && <span className="text-sm text-soft"> {shortDate(r.at)}</span>}
                      </td>
                    </tr>
                  );
                })}
              </tbody>
            </table>
          </div>
        </section>
      )}
    </>
  );
}
