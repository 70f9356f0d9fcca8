import Link from "@/ui/link";
import { notFound } from "next/navigation";
import { channelsOf } from "@/core/run/protocol";
import type { Working } from "@/core/working/working";
import { protocolsOf } from "@/data/bench";
import { contestOf } from "@/data/contest";
import { gradebook, milestonesOf, publicationsOf, schemeOf } from "@/data/grades";
import { reviewsOf } from "@/data/reviews";
import { projectPage } from "@/server/page";
import { instant } from "@/ui/date";
import { Empty, LinkButton, PageHead, Sheet } from "@/ui/page";
import { showRule } from "@/ui/rule-fields-read";
import { DataTable } from "@/ui/table";
import { Figure } from "@/ui/working";
import { MarkForm, PublishForm, SchemeForm } from "./forms";

/** The gradebook for instructors; a student's own published grade for students. */
export async function GradesScreen({ slug }: { slug: string }) {
  const page = await projectPage(slug);
  const p = page.frame.project;
  if (!page.staff) return <OwnGrade projectId={p.id} personId={page.actor.id} />;
  const [book, publications] = await Promise.all([gradebook(p.id, page.frame.today), publicationsOf(p.id)]);
  const parts = book.scheme?.definition.components ?? [];
  const last = publications[0];
  if (!book.scheme)
    return (
      <>
        <PageHead title="Grades" />
        <Empty
          title="No grading scheme yet"
          action={
            <LinkButton href={`/p/${slug}/grades/scheme`} look="main">
              Write the scheme
            </LinkButton>
          }
        >
          A scheme says what counts and how much: a review's rubric, points for a measured value, a milestone check, a
          mark. Every grade then opens into its arithmetic.
        </Empty>
      </>
    );
  const changed = last
    ? book.rows.filter((r) => last.ledger.find((l) => l.personId === r.student.id)?.grade !== r.grade.value.grade)
    : [];
  return (
    <>
      <PageHead
        title="Grades"
        note={
          <>
            Scheme v{book.scheme.number} ·{" "}
            {last ? (
              <>
                published version {last.number}, {instant(last.publishedAt)}
                {changed.length > 0 && (
                  <strong className="font-[600] text-ink">, {changed.length} grades differ since</strong>
                )}
              </>
            ) : (
              "not published: students see nothing yet"
            )}
          </>
        }
      >
        <LinkButton href={`/p/${slug}/csv/gradebook`} download>
          CSV
        </LinkButton>
        <LinkButton href={`/p/${slug}/grades/scheme`}>Scheme</LinkButton>
      </PageHead>
      <DataTable
        caption="Gradebook"
        columns={[
          { key: "name", label: "Student", text: "Student" },
          { key: "section", label: "Section", text: "Section" },
          { key: "team", label: "Team", text: "Team" },
          ...parts.map((c) => ({
            key: c.key,
            label: (
              <span>
                {c.name} <span className="unit">{c.weight} %</span>
              </span>
            ),
            text: `${c.name} (%)`,
            num: true,
          })),
          { key: "grade", label: "Grade", text: "Grade (%)", num: true },
        ]}
        rows={book.rows.map((r) => ({
          id: r.student.id,
          cells: {
            name: {
              value: r.student.name,
              show: (
                <Link href={`/p/${slug}/grades/${r.student.id}`} className="font-[600] hover:text-iron">
                  {r.student.name}
                </Link>
              ),
            },
            section: { value: r.student.section },
            team: { value: r.student.team ?? "" },
            ...Object.fromEntries(
              r.grade.value.components.map((c) => [
                c.key,
                {
                  value: c.percent === null ? c.state : Number(c.percent),
                  show: (
                    <Figure
                      working={c.working}
                      className={c.percent === null || c.state === "missing" ? "text-sm text-soft" : undefined}
                    >
                      {c.percent === null
                        ? c.state
                        : c.state === "missing"
                          ? "missing: 0"
                          : Number(c.percent).toFixed(1)}
                      {c.overridden !== null && " *"}
                    </Figure>
                  ),
                },
              ]),
            ),
            grade: {
              value: r.grade.value.grade === null ? null : Number(r.grade.value.grade),
              show: (
                <Figure working={r.grade.working} className="font-[650]">
                  {r.grade.value.grade === null
                    ? "–"
                    : Number(r.grade.value.grade).toFixed(book.scheme!.definition.decimals)}
                </Figure>
              ),
            },
          },
        }))}
      />
      {book.rows.some((r) => r.grade.value.components.some((c) => c.overridden !== null)) && (
        <p className="mt-1 text-sm text-soft">* set by hand; the computed value stands beside it in its working.</p>
      )}
      <Sheet className="mt-4 max-w-[640px]" title="Publish">
        <p className="mb-2 text-soft">
          Freezes every grade with its arithmetic; students then see their own. Later changes make a new version that
          names what changed.
        </p>
        <PublishForm projectId={p.id} again={!!last} />
        {publications.length > 0 && (
          <ul className="mt-2 text-sm text-soft">
            {publications.map((x) => (
              <li key={x.id}>
                Version {x.number}, {instant(x.publishedAt)}, {x.publishedBy}, scheme v{x.schemeVersion}
                {x.whatChanged && `: ${x.whatChanged}`}
              </li>
            ))}
          </ul>
        )}
      </Sheet>
    </>
  );
}

async function OwnGrade({ projectId, personId }: { projectId: string; personId: string }) {
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
              <td>{c.name}</td>
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

/** One student's grade in full, with what can be set by hand. */
export async function StudentGradeScreen({ slug, person }: { slug: string; person: string }) {
  const { frame } = await projectPage(slug, "grade.readAll");
  const p = frame.project;
  const book = await gradebook(p.id, frame.today, person);
  const row = book.rows[0];
  if (book.scheme && !row) notFound();
  if (!row || !book.scheme)
    return (
      <>
        <PageHead title="Grade" />
        <Empty
          title="No grading scheme yet"
          action={
            <LinkButton href={`/p/${slug}/grades/scheme`} look="main">
              Write the scheme
            </LinkButton>
          }
        >
          The scheme comes first.
        </Empty>
      </>
    );
  return (
    <>
      <PageHead
        title={row.student.name}
        note={`Section ${row.student.section}${row.student.team ? ` · team ${row.student.team}` : ""}`}
      >
        <LinkButton href={`/p/${slug}/grades`}>Gradebook</LinkButton>
      </PageHead>
      <p className="mb-4 text-[30px] font-[650]">
        <Figure working={row.grade.working} unit="%">
          {row.grade.value.grade ?? "–"}
        </Figure>
      </p>
      <table className="table max-w-[900px]">
        <thead>
          <tr>
            <th>Component</th>
            <th className="num">Weight</th>
            <th className="num">Percent</th>
            <th>State</th>
            <th />
          </tr>
        </thead>
        <tbody>
          {row.grade.value.components.map((c) => {
            const m = row.marks[c.key];
            return (
              <tr key={c.key}>
                <td className="font-[600]">{c.name}</td>
                <td className="num">{c.weight}</td>
                <td className="num">
                  <Figure working={c.working}>{c.percent === null ? "–" : Number(c.percent).toFixed(1)}</Figure>
                </td>
                <td>
                  {c.overridden !== null ? (
                    <>
                      set by hand, computed: {c.overridden}
                      {/^\d/.test(c.overridden) && " %"}
                    </>
                  ) : (
                    c.state
                  )}
                  {c.note && <span className="block text-sm text-soft">{c.note}</span>}
                </td>
                <td>
                  <MarkForm
                    projectId={p.id}
                    personId={row.student.id}
                    component={c.key}
                    version={m?.version ?? 0}
                    kind={m?.kind ?? ""}
                    percent={m?.percent ?? ""}
                    reason={m?.reason ?? ""}
                    computed={
                      book.scheme!.definition.components.find((x) => x.key === c.key)!.source.kind !== "entered"
                    }
                  />
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </>
  );
}

export async function SchemeScreen({ slug }: { slug: string }) {
  const { frame } = await projectPage(slug, "grade.edit");
  const p = frame.project;
  const [scheme, reviews, milestones, protocols, events] = await Promise.all([
    schemeOf(p.id),
    reviewsOf(p.id),
    milestonesOf(p.id),
    protocolsOf(p.id),
    contestOf(p.id),
  ]);
  const titles = [...new Set(reviews.map((r) => r.title))];
  const known =
    scheme?.definition.components.flatMap((c) => (c.source.kind === "rubric" ? [c.source.review] : [])) ?? [];
  return (
    <>
      <PageHead
        title="Grading scheme"
        note={
          scheme
            ? `Version ${scheme.number} by ${scheme.createdBy}, ${instant(scheme.createdAt)}. Published grades ` +
              "keep the scheme that they were published with."
            : "What counts, and how much. The weights make 100."
        }
      />
      <SchemeForm
        projectId={p.id}
        slug={slug}
        baseNumber={scheme?.number ?? 0}
        reviews={[...new Set([...titles, ...known])].map((t) => ({ value: t, label: t }))}
        milestones={milestones.map((m) => ({ value: m.id, label: m.title }))}
        measures={[
          ...protocols.flatMap((x) =>
            channelsOf(x.definition).map((c) => ({
              value: `protocol:${x.id}:${c.key}`,
              label: `${x.name}: ${c.name} (${c.unit}), newest tested build`,
            })),
          ),
          ...events.map((e) => ({ value: `event:${e.id}`, label: `${e.name}: result (${e.definition.unit})` })),
        ]}
        defaults={{
          decimals: String(scheme?.definition.decimals ?? 1),
          components: (
            scheme?.definition.components ?? [
              { key: "", name: "", weight: "", source: { kind: "rubric", review: titles[0] ?? "" } },
            ]
          ).map((c) => ({
            key: c.key,
            name: c.name,
            weight: c.weight,
            kind: c.source.kind,
            review: c.source.kind === "rubric" ? c.source.review : "",
            milestone: c.source.kind === "milestone" ? c.source.milestone : "",
            measure:
              c.source.kind === "points"
                ? "event" in c.source.measure && c.source.measure.event
                  ? `event:${c.source.measure.event}`
                  : `protocol:${(c.source.measure as { protocol: string }).protocol}:` +
                    `${(c.source.measure as { channel: string }).channel}`
                : "",
            full: c.source.kind === "points" ? c.source.full : "100",
            rule: showRule(c.source.kind === "points" ? c.source.rule : null),
          })) as never,
        }}
      />
    </>
  );
}
