import { missingParts } from "@/core/brief/brief";
import { fullDate, instant } from "@/platform/pages/dates";
import { projectPage } from "@/platform/pages/page";
import { requirementsOf } from "@/stages/needs/queries/requirements";
import { limitWords } from "@/stages/needs/view/requirements";
import { studentsOf } from "@/stages/people/queries/students";
import { cx } from "@/ui/classes";
import Link from "@/ui/link";
import { Markdown } from "@/ui/markdown";
import { Empty, LinkButton, PageHead, Sheet } from "@/ui/page";
import { PrintButton } from "@/ui/print-button";
import { BriefTabs } from "../parts/brief-tabs";

import { ReadButton } from "../parts/read-button";
import { RuleLink } from "../parts/rule-link";
import { briefReaders, briefVersions, rulesOf } from "../queries";

/** The brief: the current version to read, what changed in each, and who has read it. */
export async function BriefScreen({ slug, number }: { slug: string; number?: string }) {
  const { frame, staff, actor } = await projectPage(slug);
  const p = frame.project;
  const [versions, students] = await Promise.all([briefVersions(p.id), studentsOf(p.id)]);
  const shown = versions.find((v) => String(v.number) === number) ?? versions[0];
  if (!shown)
    return (
      <>
        <PageHead title="Brief" />
        <BriefTabs slug={slug} />
        <Empty
          title="The brief is not written yet"
          action={
            staff && (
              <LinkButton href={`/p/${slug}/brief/edit`} look="main">
                Write the brief
              </LinkButton>
            )
          }
        >
          {staff
            ? "One page that says what is needed, for whom, by when, and under which rules. Every later limit is " +
              "traced back to it."
            : "Your instructor writes it."}
        </Empty>
      </>
    );
  const [readers, requirements] = await Promise.all([briefReaders(shown.id), requirementsOf(p.id)]);
  const rules = await rulesOf(p.id, shown.body);
  const missing0 = missingParts(shown.body);
  const differ = rules.filter((r) => r.differs);
  const read = new Map(readers.map((r) => [r.personId, r.at]));
  const current = shown.number === versions[0]!.number;
  const missing = students.filter((s) => !read.has(s.id));
  return (
    <>
      <PageHead
        title={
          <>
            Brief <span className="font-normal text-soft">v{shown.number}</span>
          </>
        }
        note={
          `${p.client ? `For ${p.client} · ` : ""}${fullDate(p.startsOn)} to ${fullDate(p.endsOn)}` +
          `${p.eventOn ? ` · event ${fullDate(p.eventOn)}` : ""}`
        }
      >
        <PrintButton />
        {staff && (
          <LinkButton href={`/p/${slug}/brief/edit`} look="main">
            Edit
          </LinkButton>
        )}
        {!staff && current && !read.has(actor.id) && <ReadButton projectId={p.id} briefVersionId={shown.id} />}
      </PageHead>
      <BriefTabs slug={slug} />
      {current && differ.length > 0 && (
        <div className="mb-3 border-l-4 border-iron bg-iron-wash px-3 py-1.5">
          <p className="font-[600]">
            {differ.length === 1 ? "A number stands" : `${differ.length} numbers stand`} differently in two places:
          </p>
          <ul>
            {differ.map((r) => (
              <li key={r.rule.key}>
                “{r.rule.text}” and{" "}
                <Link href={`/p/${slug}/needs?r=${r.requirement!.code}`} className="font-[600] underline">
                  {r.requirement!.code}
                </Link>
                : {r.differs}.
              </li>
            ))}
          </ul>
        </div>
      )}
      {!current && (
        <p className="mb-3 border-l-4 border-slate bg-slate-wash px-3 py-1.5">
          This is version {shown.number} of {fullDate(shown.createdAt)}.{" "}
          <Link className="underline" href={`/p/${slug}/brief`}>
            Read the current version {versions[0]!.number}
          </Link>
        </p>
      )}
      <div className="grid gap-5 lg:grid-cols-[minmax(0,1fr)_300px]">
        <article className="sheet prose-brief one-sheet px-6 py-5">
          <Markdown>{shown.body}</Markdown>
        </article>
        <aside className="no-print grid content-start gap-4">
          {staff && missing0.length > 0 && (
            <p className="border-l-4 border-ochre bg-ochre-wash px-3 py-1.5 text-sm">
              The brief has no section on {missing0.map((m) => m.toLowerCase()).join(", ")}.
            </p>
          )}
          {rules.length > 0 && (
            <Sheet title="Rules with a number" aside="checked by the register">
              <ul>
                {rules.map((r) => (
                  <li key={r.rule.key} className="border-b border-line py-1.5 last:border-0">
                    <span className={cx(r.differs && "text-iron")}>{r.rule.text}</span>
                    <span className="block text-sm text-soft">
                      {r.requirement ? (
                        <>
                          <Link href={`/p/${slug}/needs?r=${r.requirement.code}`} className="underline">
                            {r.requirement.code}
                          </Link>{" "}
                          {limitWords(r.requirement, p.currency)}
                          {r.differs ? <strong className="font-[600] text-iron"> differs</strong> : " agrees"}
                          {!r.linked && ", likely"}
                        </>
                      ) : (
                        <span className={r.linked ? undefined : "text-ochre-deep"}>
                          {r.linked ? "not a requirement" : "no requirement checks this"}
                        </span>
                      )}
                    </span>
                    {staff && (
                      <span className="text-sm">
                        <RuleLink
                          key={r.requirement?.id ?? String(r.linked)}
                          projectId={p.id}
                          ruleKey={r.rule.key}
                          text={r.rule.text}
                          requirementId={r.requirement?.id ?? ""}
                          linked={r.linked}
                          requirements={requirements.map((q) => ({
                            value: q.id,
                            label: `${q.code} ${q.statement.slice(0, 40)}`,
                          }))}
                        />
                      </span>
                    )}
                  </li>
                ))}
              </ul>
            </Sheet>
          )}
          <Sheet title="Versions">
            <ol>
              {versions.map((v) => (
                <li key={v.id} className="border-b border-line py-1.5 last:border-0">
                  <Link
                    href={`/p/${slug}/brief?v=${v.number}`}
                    aria-current={v.id === shown.id ? "true" : undefined}
                    className={cx("font-[600] hover:text-iron", v.id === shown.id && "text-iron")}
                  >
                    Version {v.number}
                  </Link>{" "}
                  <span className="text-sm text-soft">
                    {instant(v.createdAt)}, {v.createdBy}
                  </span>
                  {v.whatChanged && <p className="text-sm">{v.whatChanged}</p>}
                </li>
              ))}
            </ol>
          </Sheet>
          {staff && (
            <Sheet title={`Read by ${students.filter((s) => read.has(s.id)).length} of ${students.length}`}>
              {students.length === 0 ? (
                <p className="text-soft">Nobody is on the roster yet.</p>
              ) : missing.length === 0 ? (
                <p className="text-soft">Everybody has read version {shown.number}.</p>
              ) : (
                <>
                  <p className="mb-1 text-sm text-soft">Not yet:</p>
                  <ul className="text-sm">
                    {missing.map((s) => (
                      <li key={s.id}>
                        {s.name} <span className="text-soft">{s.team ?? `section ${s.section}`}</span>
                      </li>
                    ))}
                  </ul>
                </>
              )}
            </Sheet>
          )}
        </aside>
      </div>
    </>
  );
}
