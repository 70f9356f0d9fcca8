import { diffArrays } from "diff";
import { challengesOf, readingsOf } from "@/data/brief";
import { studentsOf } from "@/data/people";
import { briefVersions } from "@/data/projects";
import { projectPage } from "@/server/page";
import { fullDate, instant, shortDate } from "@/ui/date";
import Link from "@/ui/link";
import { Empty, PageHead, Sheet } from "@/ui/page";
import { Tabs } from "@/ui/tabs";
import { ChallengeForm, RemoveResult, ResultForm } from "./more-forms";

export const BriefTabs = ({ slug }: { slug: string }) => (
  <Tabs
    label="Brief"
    pages={[
      { href: `/p/${slug}/brief`, label: "Brief" },
      { href: `/p/${slug}/brief/compare`, label: "Versions" },
      { href: `/p/${slug}/brief/challenge`, label: "Entry challenge" },
    ]}
  />
);

/** Two versions side by side, with what went and what came; and who has read up to which. */
export async function CompareScreen({ slug, a, b }: { slug: string; a?: string; b?: string }) {
  const { frame, staff } = await projectPage(slug, "brief.read");
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

/** The entry challenge: a short activity before the project, with its own quick result. */
export async function ChallengeScreen({ slug }: { slug: string }) {
  const { frame, staff } = await projectPage(slug, "brief.read");
  const p = frame.project;
  const challenges = await challengesOf(p.id);
  return (
    <>
      <PageHead
        title="Entry challenge"
        note="A day or two before the project, so that everybody succeeds at something small."
      />
      <BriefTabs slug={slug} />
      {challenges.length === 0 && !staff && (
        <Empty title="There is no entry challenge">Your instructor may set one up.</Empty>
      )}
      <div className="grid gap-6">
        {challenges.map((c) => (
          <section key={c.id} className="border-t-2 border-stone-4 pt-2">
            <h2 className="text-[16px]">
              {c.title} <span className="text-[13.5px] font-normal text-soft">{fullDate(c.heldOn)}</span>
            </h2>
            {c.task && <p className="mb-2 max-w-[70ch] whitespace-pre-wrap">{c.task}</p>}
            {staff && (
              <div className="no-print mb-3">
                <ResultForm challengeId={c.id} unit={c.unit} measure={c.measure} />
              </div>
            )}
            {c.results.length === 0 ? (
              <p className="text-soft">No result yet.</p>
            ) : (
              <div className="overflow-x-auto" tabIndex={0} role="region" aria-label={`Results of ${c.title}`}>
                <table className="table max-w-2xl">
                  <thead>
                    <tr>
                      <th className="num">Place</th>
                      <th>Group</th>
                      <th className="num">
                        {c.measure}
                        {c.unit !== "1" && ` (${c.unit})`}
                      </th>
                      {staff && <th />}
                    </tr>
                  </thead>
                  <tbody>
                    {c.results.map((r) => (
                      <tr key={r.id} className={r.best ? undefined : "text-soft"}>
                        <td className="num font-[650]">{r.best ? `${r.place}${r.shared ? "=" : ""}` : ""}</td>
                        <td>
                          {r.who}
                          {!r.best && " (another try)"}
                        </td>
                        <td className="num">{r.shown}</td>
                        {staff && (
                          <td className="no-print">
                            <RemoveResult id={r.id} />
                          </td>
                        )}
                      </tr>
                    ))}
                  </tbody>
                </table>
                <p className="mt-1 text-sm text-soft">
                  The best try of each group counts; {c.better} is better. Results that agree as finely as they are read
                  share a place.
                </p>
              </div>
            )}
          </section>
        ))}
        {staff && (
          <Sheet title={challenges.length ? "Another challenge" : "Set one up"} className="no-print">
            <ChallengeForm projectId={p.id} slug={slug} today={frame.today} />
          </Sheet>
        )}
      </div>
    </>
  );
}
