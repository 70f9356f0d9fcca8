import type { Working } from "@/core/working/working";
import { instant } from "@/platform/pages/dates";
import { projectPage, sectionOf } from "@/platform/pages/page";
import Link from "@/ui/link";
import { SectionChoice } from "@/ui/link-choice";
import { Measured } from "@/ui/measured";
import { Empty, LinkButton, PageHead, Sheet } from "@/ui/page";
import { DataTable } from "@/ui/table";
import { Figure } from "@/ui/working";
import { workingAt } from "@/ui/working-at";
import { PublishForm } from "../parts/publish-form";
import { gradebook, type LedgerLine, publicationsOf } from "../queries";
import { inSection, lastPublished, publishedFor } from "../view";

/** The gradebook for instructors; a student's own published grade for students. */
export async function GradesScreen({ slug, section: asked }: { slug: string; section?: string }) {
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
  const section = sectionOf(page.frame, asked);
  const rows = book.rows.filter(inSection(section?.id));
  const ofSections = (ledger: LedgerLine[]) => {
    const held = publishedFor(ledger, page.frame.sections);
    return held && ` of ${held}`;
  };
  const known = lastPublished(publications);
  const changed = last ? rows.filter((r) => (known.get(r.student.id) ?? null) !== r.grade.value.grade) : [];
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
        <LinkButton href={`/p/${slug}/csv/gradebook${section ? `?section=${section.id}` : ""}`} download>
          CSV
        </LinkButton>
        <LinkButton href={`/p/${slug}/grades/scheme`}>Scheme</LinkButton>
      </PageHead>
      <DataTable
        caption="Gradebook"
        tools={<SectionChoice sections={page.frame.sections} chosen={section?.id} base={`/p/${slug}/grades`} />}
        columns={[
          { key: "name", label: "Student", text: "Student" },
          { key: "section", label: "Section", text: "Section" },
          { key: "team", label: "Team", text: "Team" },
          ...parts.map((c) => ({
            key: c.key,
            label: <Measured name={c.name} unit={`${c.weight} %`} />,
            text: `${c.name} (%)`,
            num: true,
          })),
          { key: "grade", label: "Grade", text: "Grade (%)", num: true },
        ]}
        rows={rows.map((r) => ({
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
                      working={workingAt(slug, "grade", { person: r.student.id, component: c.key })}
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
                <Figure working={workingAt(slug, "grade", { person: r.student.id })} className="font-[650]">
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
          Freezes every grade{section && ` of section ${section.name}`} with its arithmetic; students then see their
          own. Later changes make a new version that names what changed.
        </p>
        <PublishForm
          key={section?.id}
          projectId={p.id}
          section={section}
          again={rows.some((r) => known.has(r.student.id))}
        />
        {publications.length > 0 && (
          <ul className="mt-2 text-sm text-soft">
            {publications.map((x) => (
              <li key={x.id}>
                Version {x.number}
                {ofSections(x.ledger)}, {instant(x.publishedAt)}, {x.publishedBy}, scheme v{x.schemeVersion}
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
