import { instant } from "@/platform/pages/dates";
import { projectPage, sectionOf } from "@/platform/pages/page";
import Link from "@/ui/link";
import { SectionChoice } from "@/ui/link-choice";
import { Empty, LinkButton, PageHead, Sheet } from "@/ui/page";
import { GradebookGrid } from "../parts/gradebook-grid";
import { Publications } from "../parts/publications";
import { PublishForm } from "../parts/publish-form";
import { gradebook } from "../queries/gradebook";
import { publishedLines } from "../queries/publications";
import { gridOf } from "../view/gradebook";
import { inSection, lastPublished } from "../view/states";
import { OwnGrade } from "./own-grade";

/** The gradebook for instructors; a student's own published grade for students. */
export async function GradesScreen({ slug, section: asked }: { slug: string; section?: string }) {
  const page = await projectPage(slug);
  const p = page.frame.project;
  if (!page.staff) return <OwnGrade projectId={p.id} slug={slug} personId={page.actor.id} />;
  const [book, publications] = await Promise.all([
    gradebook(p.id, page.frame.today, { calendars: page.frame.calendars }),
    publishedLines(p.id),
  ]);
  const last = publications.find((x) => !x.withdrawnAt);
  const open = book.rows.map((r) => r.student).filter((s) => book.asked.includes(s.id));
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
        <LinkButton href={`/p/${slug}/grades/spreadsheet`}>Spreadsheet</LinkButton>
        <LinkButton href={`/p/${slug}/grades/peers`}>Peers</LinkButton>
        <LinkButton href={`/p/${slug}/grades/scheme`}>Scheme, what if</LinkButton>
      </PageHead>
      {open.length > 0 && (
        <p className="mb-3 border-l-4 border-slate bg-slate-wash px-3 py-1.5">
          Asked to look at a grade again:{" "}
          {open.map((s, i) => (
            <span key={s.id}>
              {i > 0 && ", "}
              <Link href={`/p/${slug}/grades/${s.id}`} className="underline decoration-line hover:text-iron">
                {s.name}
              </Link>
            </span>
          ))}
        </p>
      )}
      <GradebookGrid
        key={section?.id}
        projectId={p.id}
        slug={slug}
        {...gridOf({ ...book, rows })}
        decimals={book.scheme.definition.decimals}
        sections={<SectionChoice sections={page.frame.sections} chosen={section?.id} base={`/p/${slug}/grades`} />}
      />
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
        <Publications publications={publications} sections={page.frame.sections} />
      </Sheet>
    </>
  );
}
