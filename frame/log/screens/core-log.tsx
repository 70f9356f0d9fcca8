import { showIn } from "@/core/run/reading";
import { makeWorking } from "@/core/working/working";
import { longDate, shortDate } from "@/platform/pages/dates";
import { projectPage } from "@/platform/pages/page";
import { briefVersions } from "@/stages/brief/queries";
import { projectState } from "@/stages/needs/queries/state";
import { milestonesOf } from "@/stages/plan/queries/milestones";
import { benchmarkOf } from "@/stages/records/view/records";
import { reviewsOf } from "@/stages/reviews/queries/reviews";
import { flagsOf } from "@/stages/today/queries/flags";
import { cx } from "@/ui/classes";
import Link from "@/ui/link";
import { tip } from "@/ui/tip";
import { Figure } from "@/ui/working";
import { workingAt } from "@/ui/working-at";
import { Cell, Fact } from "../parts/cell";
import { FirstSteps } from "../parts/first-steps";
import { ramp } from "../parts/ramp";
import { type Band, logView } from "../view";

/** The project's front page: the core log, a column a team and a row a week. */
export async function CoreLogScreen({ slug, show }: { slug: string; show: string }) {
  const { frame, staff } = await projectPage(slug);
  const p = frame.project;
  const [facts, reviews, milestones] = await Promise.all([projectState(p.id), reviewsOf(p.id), milestonesOf(p.id)]);
  const { flags } = staff
    ? await flagsOf(facts, {
        project: p.id,
        today: frame.today,
        end: p.eventOn ?? p.endsOn,
        calendars: frame.calendars,
        milestones,
      })
    : { flags: [] };
  const primary = facts.protocols[0];
  const bench = primary ? await benchmarkOf(p.editionOf, primary.name, primary.definition.primary) : null;
  const base = `/p/${slug}`;
  const mode = show === "mass" ? show : "best";
  if (facts.teams.length === 0)
    return (
      <FirstSteps
        slug={slug}
        title={p.title}
        purpose={p.purpose}
        staff={staff}
        done={{
          brief: (await briefVersions(p.id)).length > 0,
          needs: facts.requirements.length > 0,
          people: frame.students > 0,
        }}
      />
    );
  const view = logView(
    { ...p, today: frame.today, units: frame.units, sessions: frame.sessions },
    facts,
    reviews,
    milestones,
    bench?.value ?? null,
  );
  const { best, channel, verified, musts } = view;
  const left = view.left.length;
  const flagged = new Set(flags.map((f) => f.team));
  return (
    <>
      <header className="mb-3 flex flex-wrap items-end justify-between gap-x-8 gap-y-3">
        <div>
          <h1>{p.title}</h1>
          <p className="text-soft">{p.purpose}</p>
        </div>
        <dl className="flex flex-wrap gap-x-6 gap-y-2">
          {!p.finishedAt && (
            <Fact label={p.kind === "client" ? "sessions to handover" : "sessions to contest"}>
              <Figure
                big
                working={makeWorking({
                  title: "Sessions left",
                  result: String(left),
                  rule: "Class sessions after today up to the event, in the first section's calendar.",
                  inputs: view.left.map((s) => ({ label: `session ${s.number}`, value: s.date })),
                })}
              >
                {left}
              </Figure>
            </Fact>
          )}
          {best && channel && (
            <Fact label={bench ? `best, last year ${showIn(channel, bench.value, 1)}` : "best so far"}>
              <Figure
                big
                unit={channel.unit}
                working={workingAt(slug, "run", { run: best.run, build: best.build, key: channel.key })}
              >
                {showIn(channel, best.value, 1)}
              </Figure>
            </Fact>
          )}
          {musts > 0 && (
            <Fact label="musts verified">
              <Figure
                big
                working={makeWorking({
                  title: "Musts verified",
                  result: `${verified} of ${musts}`,
                  rule: "Over all teams: musts that are met by the newest build, of the musts that apply.",
                  inputs: view.covered.map((c) => ({ label: c.team, value: `${c.verified} of ${c.musts}` })),
                })}
              >
                {verified}
                <span className="unit text-[14px]">of {musts}</span>
              </Figure>
            </Fact>
          )}
          {staff && !p.finishedAt && (
            <Fact label="teams to look at">
              <Link
                href={`${base}/attention`}
                className="text-[19px] leading-[1.15] font-[650] text-iron"
                {...tip(flags.map((f) => f.reason).join("; "))}
              >
                {flagged.size}
              </Link>
            </Fact>
          )}
        </dl>
      </header>
      <div className="sheet overflow-x-auto" tabIndex={0} role="region" aria-label="Core log">
        <table className="w-full table-fixed border-collapse" style={{ minWidth: 84 + facts.teams.length * 108 }}>
          <caption className="sr-only">One column a team, one row a week</caption>
          <thead>
            <tr>
              <th className="w-[82px]">
                <span className="sr-only">Week</span>
              </th>
              {facts.teams.map((t) => (
                <th key={t.id} scope="col" className="px-1 pt-2.5 pb-2 text-left align-top font-normal">
                  <Link href={`${base}/builds?team=${t.id}`} className="block leading-tight font-[650] hover:text-iron">
                    {t.name}
                  </Link>
                  <span className="text-xs text-soft">
                    {t.members.length}
                    {t.section ? ` · Sec ${t.section}` : ""}
                  </span>
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {view.weeks.map((w, i) => (
              <tr key={w.number} className="border-t border-[#ece5d9]">
                <th scope="row" className="h-[51px] pl-3.5 text-left align-top leading-tight whitespace-nowrap">
                  <span className={cx("block pt-1.5 text-sm font-[650]", w.now && "text-iron", w.ahead && "text-soft")}>
                    Week {w.number}
                  </span>
                  <span className="text-xs font-normal text-soft">{shortDate(w.monday)}</span>
                </th>
                {w.cells.map(({ team: t, cell, shade, mass }, k) => (
                  <td key={t.id} className="relative px-1 align-top">
                    <Cell
                      c={cell}
                      first={i === 0}
                      today={w.now}
                      href={`${base}/builds?team=${t.id}&week=${w.number}`}
                      shade={shade}
                      channel={channel}
                      text={mode === "mass" ? mass : null}
                      mode={mode}
                      team={t.name}
                    />
                    {k === 0 && w.bands.length > 0 && <Bands bands={w.bands} teams={facts.teams.length} />}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <footer className="mt-2 flex flex-wrap items-center justify-between gap-x-6 gap-y-1 text-sm text-soft">
        <ul className="flex flex-wrap items-center gap-x-4 gap-y-1">
          <li>One column a team, one layer a week</li>
          <li className="flex items-center gap-1.5">
            <span className="h-[3px] w-5 bg-ink" />
            build
          </li>
          <li className="flex items-center gap-1.5">
            <span className="flex gap-0.5 rounded-sm bg-stone-4 px-1 py-1">
              <i className="size-[3px] rounded-full bg-white" />
              <i className="size-[3px] rounded-full bg-white" />
            </span>
            runs
          </li>
          <li className="flex items-center gap-1.5">
            <span
              className="h-2.5 w-14 rounded-sm"
              style={{ background: `linear-gradient(90deg, ${ramp(0.1)}, ${ramp(1)})` }}
            />
            {bench ? "best against last year" : "best against the class's best"}
          </li>
          <li className="flex items-center gap-1.5">
            <span className="border-y-4 border-r-6 border-y-transparent border-r-slate" />
            review
          </li>
          <li className="flex items-center gap-1.5">
            <span className="rock-gap h-3 w-4 border border-stone-2" />
            no record
          </li>
        </ul>
        <nav aria-label="What the log shows">
          Show{" "}
          {(["best", "mass"] as const).map((m, i) => (
            <span key={m}>
              {i > 0 && " · "}
              <Link
                href={`${base}${m === "best" ? "" : `?show=${m}`}`}
                aria-current={mode === m ? "true" : undefined}
                className={mode === m ? "font-[650] text-ink" : "hover:text-ink"}
              >
                {m === "best" ? (channel?.name.toLowerCase() ?? "best") : m}
              </Link>
            </span>
          ))}
        </nav>
      </footer>
    </>
  );
}

/** What comes in a week, over the whole width of its row. */
function Bands({ bands, teams }: { bands: readonly Band[]; teams: number }) {
  return (
    <div className="absolute top-2 left-1 z-[5] flex gap-2" style={{ width: `calc(${teams * 100}% - 8px)` }}>
      {bands.map((b) => (
        <p
          key={b.text + b.on}
          className={cx(
            "grow rounded-sm px-3 py-1 text-sm font-[600] whitespace-nowrap",
            b.event ? "bg-[#f1e2db] text-iron" : "bg-slate-wash text-slate",
          )}
        >
          {b.text} · {longDate(b.on)}
        </p>
      ))}
    </div>
  );
}
