import Link from "@/ui/link";
import { notFound } from "next/navigation";
import { combineSheets, scoreSheet } from "@/core/sheet/sheet";
import { addDays } from "@/core/sessions/date";
import { buildsOf } from "@/data/builds";
import { isId } from "@/data/id";
import { reviewsOf, rubricsOf } from "@/data/reviews";
import { teamsOf } from "@/data/teams";
import { projectPage } from "@/server/page";
import { cx } from "@/ui/classes";
import { fullDate, longDate, shortDate } from "@/ui/date";
import { Empty, LinkButton, PageHead, Sheet } from "@/ui/page";
import { Figure } from "@/ui/working";
import { ActionItemForm, CloseForm, PlanForm, ReopenButton, RubricForm, StaffSheet, VerdictForm } from "./forms";

/** Reviews by title and team: sheets in, score, verdict, open actions. */
export async function ReviewsScreen({ slug }: { slug: string }) {
  const { frame, staff, ownTeam } = await projectPage(slug, "review.read");
  const p = frame.project;
  const [reviews, rubrics, teams] = await Promise.all([reviewsOf(p.id), rubricsOf(p.id), teamsOf(p.id)]);
  const groups = [...new Set(reviews.map((r) => r.title))]
    .map((title) => ({ title, list: reviews.filter((r) => r.title === title) }))
    .reverse();
  const open = reviews.flatMap((r) => r.actions.filter((a) => !a.closedAt).map((a) => ({ a, r })));
  return (
    <>
      <PageHead
        title="Reviews"
        note={
          reviews.length
            ? `${reviews.filter((r) => r.verdict).length} of ${reviews.length} have their verdict · ${open.length} ` +
              "actions open"
            : undefined
        }
      >
        {staff && <LinkButton href={`/p/${slug}/reviews/rubric`}>New rubric</LinkButton>}
      </PageHead>
      {reviews.length === 0 && (
        <div className="mb-4">
          <Empty
            title="No review yet"
            action={
              staff &&
              rubrics.length === 0 && (
                <LinkButton href={`/p/${slug}/reviews/rubric`} look="main">
                  Write a rubric
                </LinkButton>
              )
            }
          >
            {staff
              ? "A review shows a team's build to the client or to reviewers. Each fills in the same rubric; the " +
                "verdict and its actions stay on record. It takes a rubric first, then a plan."
              : "Your instructor plans them."}
          </Empty>
        </div>
      )}
      {groups.map((g) => (
        <section key={g.title} className="mb-5">
          <h2 className="mb-1.5">
            {g.title}{" "}
            <span className="font-normal text-soft">
              {fullDate(g.list[0]!.heldOn)} · {g.list[0]!.rubric}
            </span>
          </h2>
          <div className="overflow-x-auto" tabIndex={0} role="region" aria-label={g.title}>
            <table className="table">
              <thead>
                <tr>
                  <th>Team</th>
                  <th>Build</th>
                  <th className="num">Sheets</th>
                  <th className="num">
                    Score <span className="unit">%</span>
                  </th>
                  <th>Verdict</th>
                  <th>Actions</th>
                </tr>
              </thead>
              <tbody>
                {g.list.map((r) => {
                  const score = combineSheets(
                    r.definition,
                    r.sheets.map((s) => ({ rater: s.raterName, marks: s.marks })),
                  );
                  const left = r.actions.filter((a) => !a.closedAt);
                  const visible = staff || r.teamId === ownTeam;
                  return (
                    <tr key={r.id}>
                      <td>
                        <Link href={`/p/${slug}/reviews/${r.id}`} className="font-[650] hover:text-iron">
                          {r.team}
                        </Link>
                      </td>
                      <td>{r.build ? `G${r.build}` : "–"}</td>
                      <td className="num">{r.sheets.length}</td>
                      <td className="num">
                        {visible && score.value !== null ? (
                          <Figure working={score.working}>{(Number(score.value) * 100).toFixed(1)}</Figure>
                        ) : (
                          "–"
                        )}
                      </td>
                      <td>
                        {r.verdict ?? <span className="text-soft">{r.heldOn > frame.today ? "to come" : "open"}</span>}
                      </td>
                      <td>
                        {r.actions.length === 0 ? (
                          "–"
                        ) : (
                          <>
                            {r.actions.length - left.length} of {r.actions.length} closed
                            {left.some((a) => a.dueOn < frame.today) && (
                              <span className="text-iron">
                                {" "}
                                · {left.filter((a) => a.dueOn < frame.today).length} overdue
                              </span>
                            )}
                          </>
                        )}
                      </td>
                    </tr>
                  );
                })}
              </tbody>
            </table>
          </div>
        </section>
      ))}
      {open.length > 0 && (
        <section className="mb-5">
          <h2 className="mb-1.5">Open actions</h2>
          <ul>
            {open
              .sort((x, y) => (x.a.dueOn < y.a.dueOn ? -1 : 1))
              .map(({ a, r }) => (
                <li key={a.id} className="flex flex-wrap items-baseline gap-x-4 border-b border-line py-1">
                  <span className="w-24 font-[600]">{r.team}</span>
                  <Link href={`/p/${slug}/reviews/${r.id}`} className="min-w-60 grow hover:text-iron">
                    {a.what}
                  </Link>
                  <span className="text-soft">{staff || r.teamId === ownTeam ? (a.owner ?? "the team") : ""}</span>
                  <span className={cx("w-28 text-right text-sm", a.dueOn < frame.today ? "text-iron" : "text-soft")}>
                    {a.dueOn < frame.today ? "was due" : "due"} {shortDate(a.dueOn)}
                  </span>
                </li>
              ))}
          </ul>
        </section>
      )}
      {staff && rubrics.length > 0 && (
        <div className="no-print grid items-start gap-5 lg:grid-cols-[minmax(0,1fr)_300px]">
          {teams.length > 0 ? (
            <Sheet title="Plan reviews">
              <PlanForm
                projectId={p.id}
                rubrics={rubrics.map((r) => ({ value: r.id, label: `${r.name} v${r.number}` }))}
                teams={teams.map((t) => ({ value: t.id, label: t.name }))}
              />
            </Sheet>
          ) : (
            <p className="text-soft">Form teams first, then reviews can be planned.</p>
          )}
          <Sheet title="Rubrics">
            <ul>
              {rubrics.map((r) => (
                <li key={r.id}>
                  <Link href={`/p/${slug}/reviews/rubric?id=${r.id}`} className="hover:text-iron">
                    {r.name}{" "}
                    <span className="text-soft">
                      v{r.number}, {r.definition.criteria.length} criteria
                    </span>
                  </Link>
                </li>
              ))}
            </ul>
          </Sheet>
        </div>
      )}
    </>
  );
}

/** One review of one team: sheets, score, verdict, actions. */
export async function ReviewScreen({ slug, id }: { slug: string; id: string }) {
  const { frame, staff, ownTeam, actor } = await projectPage(slug, "review.read");
  const p = frame.project;
  const [r] = isId(id) ? await reviewsOf(p.id, id) : [];
  if (!r) notFound();
  const [teams, builds] = await Promise.all([teamsOf(p.id), buildsOf(p.id)]);
  const team = teams.find((t) => t.id === r.teamId);
  const newest = builds.findLast((b) => b.teamId === r.teamId);
  const mine = r.sheets.find((s) => s.raterPerson === actor.id);
  const visible = staff || r.teamId === ownTeam;
  const score = combineSheets(
    r.definition,
    r.sheets.map((s) => ({ rater: s.raterName, marks: s.marks })),
  );
  return (
    <>
      <PageHead
        title={
          <>
            {r.title} <span className="text-soft">{r.team}</span>
          </>
        }
        note={`${longDate(r.heldOn)}${r.build ? ` · build G${r.build}` : ""} · ${r.rubric}`}
      >
        {r.buildId && <LinkButton href={`/p/${slug}/builds/${r.buildId}`}>The build</LinkButton>}
      </PageHead>
      {newest && r.build && newest.number > r.build && (
        <p className="mb-3 border-l-4 border-slate bg-slate-wash px-3 py-1.5">
          The team has built G{newest.number} since: this review is of the older G{r.build}.
        </p>
      )}
      {!visible && (
        <p className="text-soft">
          Sheets and scores are for the team and the instructors.{r.verdict && ` Verdict: ${r.verdict}.`}
        </p>
      )}
      {visible && (
        <div className="grid items-start gap-5 lg:grid-cols-[minmax(0,1fr)_330px]">
          <div className="grid min-w-0 gap-4">
            {r.sheets.length > 0 && (
              <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Sheets">
                <table className="table">
                  <thead>
                    <tr>
                      <th>Criterion</th>
                      <th className="num">Weight</th>
                      {r.sheets.map((s, i) => (
                        <th key={s.id} className="num">
                          {staff ? s.raterName : `Reviewer ${i + 1}`}
                        </th>
                      ))}
                    </tr>
                  </thead>
                  <tbody>
                    {r.definition.criteria.map((c) => (
                      <tr key={c.key}>
                        <td>
                          {c.name}
                          {r.sheets
                            .map((s) => s.marks.find((m) => m.criterion === c.key)?.comment)
                            .filter(Boolean)
                            .map((t) => (
                              <span key={t} className="block text-sm text-soft">
                                “{t}”
                              </span>
                            ))}
                        </td>
                        <td className="num text-soft">{c.weight}</td>
                        {r.sheets.map((s) => (
                          <td key={s.id} className="num">
                            {s.marks.find((m) => m.criterion === c.key)?.points ?? "–"}
                          </td>
                        ))}
                      </tr>
                    ))}
                    <tr>
                      <td className="font-[650]">
                        Score <span className="unit">%</span>
                      </td>
                      <td />
                      {r.sheets.map((s) => {
                        const x = scoreSheet(r.definition, {
                          rater: staff ? s.raterName : "a reviewer",
                          marks: s.marks,
                        });
                        return (
                          <td key={s.id} className="num">
                            {x.value === null ? (
                              "–"
                            ) : (
                              <Figure working={x.working}>{(Number(x.value) * 100).toFixed(1)}</Figure>
                            )}
                          </td>
                        );
                      })}
                    </tr>
                  </tbody>
                </table>
              </div>
            )}
            {r.sheets.some((s) => s.comment) && (
              <Sheet title="What reviewers say">
                {r.sheets
                  .filter((s) => s.comment)
                  .map((s) => (
                    <blockquote key={s.id} className="border-l-3 border-stone-3 py-0.5 pl-3">
                      {s.comment}
                      {staff && <span className="block text-sm text-soft">{s.raterName}</span>}
                    </blockquote>
                  ))}
              </Sheet>
            )}
            {staff && !r.verdict && (
              <Sheet title={mine ? "Your sheet" : "Fill in a sheet"}>
                <StaffSheet
                  reviewId={r.id}
                  version={mine?.version ?? 0}
                  criteria={r.definition.criteria}
                  rater={actor.name}
                  marks={mine?.marks ?? []}
                  comment={mine?.comment ?? ""}
                />
              </Sheet>
            )}
            {!staff && r.sheets.length === 0 && <p className="text-soft">No sheet is handed in yet.</p>}
          </div>
          <div className="grid gap-4">
            <Sheet
              title="Verdict"
              aside={
                score.value !== null && (
                  <>
                    score{" "}
                    <Figure working={score.working} unit="%" className="text-ink">
                      {score.working.result}
                    </Figure>
                  </>
                )
              }
            >
              {r.verdict && (
                <p className="mb-2">
                  <strong className="font-[650]">{r.verdict}</strong> <span className="text-soft">{r.decidedBy}</span>
                  {r.verdictNote && <span className="block">{r.verdictNote}</span>}
                </p>
              )}
              {staff ? (
                <VerdictForm id={r.id} version={r.version} verdict={r.verdict ?? ""} note={r.verdictNote} />
              ) : (
                !r.verdict && <p className="text-soft">Not given yet.</p>
              )}
            </Sheet>
            <Sheet title="Actions">
              {r.actions.length === 0 && <p className="mb-2 text-soft">None.</p>}
              <ul className="mb-3">
                {r.actions.map((a) => (
                  <li key={a.id} className="border-b border-line py-1.5 last:border-0">
                    <p className={cx(a.closedAt && "text-soft line-through")}>{a.what}</p>
                    <p className={cx("text-sm", !a.closedAt && a.dueOn < frame.today ? "text-iron" : "text-soft")}>
                      {a.owner ?? "the team"} ·{" "}
                      {a.closedAt
                        ? `closed: ${a.closingEvidence}`
                        : `${a.dueOn < frame.today ? "was due" : "due"} ${shortDate(a.dueOn)}`}
                      {a.closedAt && staff && <ReopenButton id={a.id} version={a.version} />}
                    </p>
                    {!a.closedAt && <CloseForm id={a.id} version={a.version} />}
                  </li>
                ))}
              </ul>
              {staff && (
                <ActionItemForm
                  reviewId={r.id}
                  members={(team?.members ?? []).map((m) => ({ value: m.id, label: m.name }))}
                  due={addDays(frame.today, 7)}
                />
              )}
            </Sheet>
          </div>
        </div>
      )}
    </>
  );
}

export async function RubricScreen({ slug, id }: { slug: string; id?: string }) {
  const { frame } = await projectPage(slug, "review.plan");
  const r = id ? (await rubricsOf(frame.project.id)).find((x) => x.id === id) : undefined;
  if (id && !r) notFound();
  return (
    <>
      <PageHead
        title={
          r ? (
            <>
              {r.name} <span className="font-normal text-soft">v{r.number}</span>
            </>
          ) : (
            "New rubric"
          )
        }
        note="Reviews that are planned already keep the version that they were planned with."
      />
      <RubricForm
        projectId={frame.project.id}
        slug={slug}
        id={r?.id}
        version={r?.version ?? 0}
        defaults={{
          name: r?.name ?? "",
          criteria: r?.definition.criteria.map((c) => ({
            key: c.key,
            name: c.name,
            weight: c.weight,
            levelText: c.levels.map((l) => `${l.points} ${l.descriptor}`).join("\n"),
          })) ?? [{ key: "c1", name: "", weight: "1", levelText: "0 not shown\n1 begun\n2 sound\n3 excellent" }],
        }}
      />
    </>
  );
}
