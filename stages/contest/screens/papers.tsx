import { longDate } from "@/platform/pages/dates";
import { projectPage } from "@/platform/pages/page";
import { teamsOf } from "@/stages/teams/queries/teams";
import { LinkChoice } from "@/ui/link-choice";
import { Empty, PageHead } from "@/ui/page";
import { PrintButton } from "@/ui/print-button";
import { contestActs } from "../acts";
import { Certificates } from "../parts/certificates";
import { EventNav } from "../parts/event-nav";
import { ResultsSheet } from "../parts/results-sheet";
import { ScoreSheetTable } from "../parts/score-sheet";
import { placedContestOf } from "../queries/contest";
import { programmeOf } from "../queries/programme";
import { safetyOf } from "../queries/safety";
import { awardsOf } from "../view/awards";
import { roundSizes } from "../view/lives";
import { overallView, withoutOpenMarks } from "../view/overall";
import { resultsOf, rulesOnPaper, sheetsOf } from "../view/papers-of";
import { programmeView } from "../view/programme";

const papers = {
  rules: "Rules and programme",
  scores: "Score sheets",
  results: "Results",
  certificates: "Certificates",
} as const;
type Paper = keyof typeof papers;

/** What is printed for the day: rules with the programme, sheets to score by hand, results, certificates. */
export async function PapersScreen({ slug, what = "", names: named }: { slug: string; what?: string; names?: string }) {
  const { frame, may } = await projectPage(slug, contestActs.read);
  const p = frame.project;
  const staff = may(contestActs.edit);
  const offered = (Object.keys(papers) as Paper[]).filter((k) => staff || k === "rules" || k === "results");
  const chosen = offered.find((k) => k === what) ?? "rules";
  const [{ names, ...all }, programme, safety, teams] = await Promise.all([
    placedContestOf(p.id, true),
    programmeOf(p.id),
    safetyOf(p.id),
    chosen === "certificates" && named === "yes" ? teamsOf(p.id) : [],
  ]);
  const contest = staff ? all.contest : withoutOpenMarks(all.contest);
  const awarded = { ...all, contest };
  const { events: planned } = programmeView(programme, (id) => {
    const race = contest.races.find((r) => r.id === id);
    return race ? roundSizes(race) : [];
  });
  const base = `/p/${slug}/contest/papers`;
  const awards = awardsOf(awarded);
  return (
    <>
      <PageHead title={papers[chosen]} note={[p.title, p.eventOn && longDate(p.eventOn)].filter(Boolean).join(" · ")}>
        <EventNav slug={slug} events={names} chosen="papers" staff={staff && !p.finishedAt} />
        <PrintButton />
      </PageHead>
      <div className="mb-4">
        <LinkChoice
          label="What is printed"
          options={offered.map((k) => ({ value: k, label: papers[k] }))}
          chosen={chosen}
          hrefOf={(k) => `${base}?what=${k}`}
        />
      </div>
      {names.length === 0 && (
        <Empty title="No event yet">Rules, sheets and results are printed from the contest's events.</Empty>
      )}
      {chosen === "rules" && (
        <div className="one-sheet grid gap-x-10 gap-y-5 lg:grid-cols-2 print:block">
          {rulesOnPaper(contest, planned, safety).map((e) => (
            <section key={e.id}>
              <h2>
                {e.name} <span className="text-sm font-normal text-soft">{e.when}</span>
              </h2>
              <ul className="list-disc pl-5">
                {e.rules.map((r) => (
                  <li key={r}>{r}</li>
                ))}
              </ul>
              {e.cautions.length > 0 && (
                <p className="mt-1">
                  <strong>Take care:</strong> {e.cautions.join(" ")} The school's rules come first.
                </p>
              )}
              {e.turns && <p className="mt-1 text-sm text-soft">{e.turns}</p>}
            </section>
          ))}
        </div>
      )}
      {chosen === "scores" && (
        <>
          <p className="no-print mb-3 max-w-prose text-soft">
            For the hour without power or network: what is written here is typed in afterwards, column by column, by the
            same keys as beside the field.
          </p>
          {sheetsOf(contest, planned).map((s) => (
            <ScoreSheetTable key={s.id} name={s.name} sheet={s.sheet} />
          ))}
        </>
      )}
      {chosen === "results" && <ResultsSheet {...resultsOf(contest, overallView(contest))} awards={awards} />}
      {chosen === "certificates" && (
        <>
          <div className="no-print mb-3 flex flex-wrap items-baseline gap-x-4">
            <span className="text-soft">Names of students on them:</span>
            <LinkChoice
              label="Names of students"
              options={[
                { value: "no", label: "no" },
                { value: "yes", label: "yes" },
              ]}
              chosen={named === "yes" ? "yes" : "no"}
              hrefOf={(v) => `${base}?what=certificates&names=${v}`}
            />
          </div>
          {awards.length === 0 && (
            <Empty title="No award yet">There is one for each award that the record gives.</Empty>
          )}
          <Certificates
            awards={awards}
            contest={p.title}
            on={p.eventOn}
            members={new Map(teams.map((t) => [t.name as string, t.members.map((m) => m.name)]))}
          />
        </>
      )}
    </>
  );
}
