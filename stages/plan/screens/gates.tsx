import type { ReactNode } from "react";
import { shortDate } from "@/platform/pages/dates";
import { projectPage } from "@/platform/pages/page";
import { settingsOf } from "@/platform/project/settings";
import { toolsOf } from "@/stages/shop/queries/tools";
import { teamsOf } from "@/stages/teams/queries/teams";
import { Fold } from "@/ui/fold";
import { Empty, LinkButton, PageHead, Sheet } from "@/ui/page";
import { GateForm } from "../parts/gate-form";
import { GateItemForm } from "../parts/gate-item-form";
import { GateTable } from "../parts/gate-table";
import { PlanTabs } from "../parts/plan-tabs";
import { StrictnessForm } from "../parts/strictness-form";
import { gatesOf, gateTicks } from "../queries/gates";
import { milestonesOf } from "../queries/milestones";
import { gateLines } from "../view/gates";

/**
 * Gates: a checklist before material is touched, team by team, signed by the instructor; and who is signed for which
 * tool.
 */
export async function GatesScreen({
  slug,
  toolsPart,
  newTool,
}: {
  slug: string;
  /** The shop's tools and who is signed for them. */
  toolsPart: ReactNode;
  newTool: ReactNode;
}) {
  const { frame, staff, ownTeam, actor } = await projectPage(slug);
  const p = frame.project;
  const [gates, tools, settings, milestones, teams] = await Promise.all([
    gatesOf(p.id),
    toolsOf(p.id),
    settingsOf(p.id),
    milestonesOf(p.id),
    teamsOf(p.id),
  ]);
  const rest = milestones.filter((m) => !m.gateStage && m.scope === "team");
  const ticks = await gateTicks(p.id);
  const strict = {
    warn: "Builds may be recorded with an open gate, with a warning.",
    block: "No build is recorded before the gate is signed.",
    none: "Gates are not asked for.",
  }[settings.gateStrictness];
  return (
    <>
      <PageHead title="Gates and tools" note={strict} />
      <PlanTabs slug={slug} />
      <div className="grid gap-6">
        <div className="grid min-w-0 gap-6 [&>*]:min-w-0">
          {gates.length === 0 && (
            <Empty
              title="No gate yet"
              action={staff && <LinkButton href={`/p/${slug}/plan`}>To the milestones</LinkButton>}
            >
              A gate is a milestone with a checklist that a team passes before it touches material: drawings in, model
              complete, materials listed, tools signed.{" "}
              {staff &&
                (rest.length ? "Make one of the milestones below a gate." : "Add a milestone in the plan first.")}
            </Empty>
          )}
          {gates.map((g) => (
            <section key={g.id}>
              <div className="mb-2 flex flex-wrap items-baseline justify-between gap-3">
                <h2 className="wrap-anywhere">
                  {g.title}{" "}
                  <span className="font-normal text-soft">
                    before every {g.stage} · due {shortDate(g.dueOn)} · signed for{" "}
                    {g.teams.filter((t) => t.signed).length} of {g.teams.length}
                  </span>
                </h2>
                {staff && <GateForm milestoneId={g.id} stage={g.stage} />}
              </div>
              <GateTable
                gate={g}
                lines={gateLines(g, teams, ticks, { staff, person: actor.id, team: ownTeam })}
                staff={staff}
              />
              {staff && (
                <Fold className="no-print mt-2" labelClass="text-sm text-soft" label="Add to the checklist">
                  <div className="mt-2">
                    <GateItemForm milestoneId={g.id} tools={tools.map((t) => ({ value: t.id, label: t.name }))} />
                  </div>
                </Fold>
              )}
            </section>
          ))}
          {toolsPart}
        </div>
        {staff && (
          <aside className="no-print grid items-start gap-4 md:grid-cols-3">
            <Sheet title="School">
              <StrictnessForm projectId={p.id} value={settings.gateStrictness} />
            </Sheet>
            {rest.length > 0 && (
              <Sheet title="Make a milestone a gate before">
                <ul className="grid gap-2">
                  {rest.map((m) => (
                    <li key={m.id}>
                      <p className="font-[600] wrap-anywhere">
                        {m.title} <span className="font-normal text-soft">{shortDate(m.dueOn)}</span>
                      </p>
                      <GateForm milestoneId={m.id} stage="" />
                    </li>
                  ))}
                </ul>
              </Sheet>
            )}
            {newTool}
          </aside>
        )}
      </div>
    </>
  );
}
