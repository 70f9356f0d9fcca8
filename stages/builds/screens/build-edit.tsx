import { notFound } from "next/navigation";
import { primaryOf } from "@/core/run/protocol";
import { showIn, unitAfter } from "@/core/run/reading";
import { projectPage } from "@/platform/pages/page";
import { asEntered } from "@/platform/schema/entered";
import { protocolsOf } from "@/stages/bench/queries/runs";
import { gateBefore } from "@/stages/plan/queries/gates";
import { openActionsOf } from "@/stages/reviews/queries/reviews";
import { teamsOf } from "@/stages/teams/queries/teams";
import Link from "@/ui/link";
import { Caution, PageHead } from "@/ui/page";
import { buildActs } from "../acts";
import { BuildForm } from "../parts/build-form";
import { type Build, buildsBefore, buildsOf } from "../queries/builds";
import { failuresOf } from "../queries/failures";
import { textsOf } from "../schema";
import { startFrom } from "../view/features";
import { writeLines } from "../view/lines";
import { beforeWords } from "../view/meeting";

export async function BuildEditScreen({
  slug,
  id,
  team,
  from = [],
  ancestor,
}: {
  slug: string;
  id?: string;
  team?: string;
  /** What a new build is made from, where that was chosen before. */
  from?: readonly string[];
  /** The build of the edition before that it starts from, and its features, by position, that it does without. */
  ancestor?: { readonly id: string; readonly without: readonly string[] };
}) {
  const page = await projectPage(slug);
  const p = page.frame.project;
  const [builds, before, teams, protocols, failures] = await Promise.all([
    buildsOf(p.id),
    buildsBefore(p.id),
    teamsOf(p.id),
    protocolsOf(p.id),
    failuresOf(p.id),
  ]);
  const b = id ? builds.find((x) => x.id === id) : undefined;
  const owner = teams.find((t) => t.id === (b?.teamId ?? team));
  if (!owner || (id && !b) || !page.may(buildActs.edit, { team: owner.id })) notFound();
  const mine = builds.filter((x) => x.teamId === owner.id && x.id !== b?.id);
  const primary = protocols[0] && primaryOf(protocols[0].definition);
  // What a member makes alone goes on from where the team is.
  const last = mine.findLast((x) => !x.makerId) ?? mine.at(-1);
  const decided = await openActionsOf(owner.id);
  const gate = b ? [] : (await gateBefore(p.id, owner.id, "final")).says;
  const named = (x: Build) => ({ value: x.id as string, label: `${x.team} G${x.number}` });
  const open = failures.filter((f) => f.teamId === owner.id && f.closedBy === null && f.buildId !== b?.id);
  const brought = builds.filter((x) => from.includes(x.id)).map((x) => x.id as string);
  const vars = (x?: Build) => writeLines(x?.variables ?? {});
  const found = !b && ancestor ? before.find((x) => x.id === ancestor.id) : undefined;
  const start = found && startFrom(found, ancestor!.without);
  return (
    <>
      <PageHead
        title={b ? `${owner.name} G${b.number}: edit` : `${owner.name}: a new generation`}
        note={
          b
            ? undefined
            : last
              ? `After G${last.number}. Its variables are filled in: change what you changed.`
              : start
                ? "The first one, with the settings of the build that it starts from: change what you change."
                : "The first one."
        }
      />
      {gate.length > 0 && (
        <div className="mb-3 max-w-[860px] border-l-4 border-ochre bg-ochre-wash px-3 py-2">
          {gate.map((g) => (
            <p key={g}>{g}</p>
          ))}
          <p className="text-sm">
            <Link href={`/p/${slug}/plan/gates`} className="underline">
              Open the gates
            </Link>
          </p>
        </div>
      )}
      {!b && (
        <div className="mb-4 max-w-[860px]">
          <Caution>
            Cutting, drilling and hot glue: only with tools that you are signed off for, eyes protected, and the
            instructor told before you start. The school's workshop rules come first.
          </Caution>
        </div>
      )}
      <BuildForm
        slug={slug}
        teamId={owner.id}
        id={b?.id}
        version={b?.version ?? 0}
        predictedUnit={primary?.levels?.join(", ") ?? unitAfter("", primary?.unit ?? "").trim()}
        currency={p.currency}
        units={page.frame.units}
        parents={mine.map(named)}
        members={owner.members.map((m) => ({ value: m.id, label: m.name }))}
        before={before.map((x) => ({ value: x.id as string, label: beforeWords(x) }))}
        others={builds.filter((x) => x.teamId !== owner.id).map(named)}
        decided={decided.map((a) => ({ value: a.id as string, label: `${a.what} (${a.review})` }))}
        open={open.map((f) => ({ value: f.id as string, label: `${f.mode} (G${f.build})` }))}
        defaults={{
          stage: b?.stage ?? last?.stage ?? "mock-up",
          builtOn: b?.builtOn ?? page.frame.today,
          ...textsOf(b),
          predicted: b?.predicted
            ? primary?.levels
              ? showIn(primary, Number(b.predicted))
              : String(Number(b.predicted))
            : "",
          ...(b ? asEntered(b, page.frame.units) : { mass: "", cost: "", sides: "" }),
          features: (b ?? last)?.features.join(", ") ?? "",
          variables: vars(b ?? last),
          parentIds: b?.parents ?? (brought.length ? brought : last ? [last.id] : []),
          makerId: b?.makerId ?? "",
          fromEdition: b?.fromEdition ?? "",
          dropped: Object.entries(b?.dropped ?? {})
            .map(([feature, reason]) => `${feature}: ${reason}`)
            .join("\n"),
          ...start,
        }}
      />
    </>
  );
}
