import { randomInt } from "node:crypto";
import { notFound } from "next/navigation";
import { channelsOf } from "@/core/run/protocol";
import { headed } from "@/core/run/reading";
import { projectPage } from "@/platform/pages/page";
import { protocolsOf } from "@/stages/bench/queries/runs";
import { Empty, LinkButton, PageHead } from "@/ui/page";
import { showRule } from "@/ui/rule-fields-read";
import { contestActs } from "../acts";
import { EventForm } from "../parts/event-form";
import { EventKinds } from "../parts/event-kinds";
import { eventsOf } from "../queries/events";
import { safetyOf } from "../queries/safety";
import { usualCautions } from "../view/safety";
import { typedEvent } from "../view/typed-events";

export async function EventScreen({ slug, id }: { slug: string; id?: string }) {
  const { frame } = await projectPage(slug, contestActs.edit);
  const p = frame.project;
  const [protocols, events, safeties] = await Promise.all([protocolsOf(p.id), eventsOf(p.id), safetyOf(p.id)]);
  const e = id ? events.find((x) => x.id === id) : undefined;
  if (id && !e) notFound();
  const first = protocols[0];
  if (!first)
    return (
      <>
        <PageHead title="New event" />
        <Empty
          title="An event is measured under a protocol"
          action={
            <>
              <LinkButton href={`/p/${slug}/bench/protocol`} look="main">
                Write a protocol
              </LinkButton>{" "}
              <LinkButton href={`/p/${slug}/contest/matches/edit`}>Or set up matches</LinkButton>
            </>
          }
        >
          So that the contest measures the same way as the bench did.
        </Empty>
      </>
    );
  const d = e?.definition;
  const safety = e && safeties.get(e.id);
  return (
    <>
      <PageHead title={e ? e.name : "New event"} note="The rules are fixed once the first attempt is scored.">
        {!e && <EventKinds slug={slug} chosen="event" />}
      </PageHead>
      <EventForm
        projectId={p.id}
        slug={slug}
        id={e?.id}
        version={e?.version ?? 0}
        protocols={protocols.map((x) => ({ value: x.id, label: `${x.name} v${x.number}` }))}
        channels={Object.fromEntries(
          protocols.map((x) => [x.id, channelsOf(x.definition).map((c) => ({ value: c.key, label: headed(c) }))]),
        )}
        defaults={{
          name: e?.name ?? "",
          protocolId: e?.protocolId ?? first.id,
          ...typedEvent(
            d ?? {
              channel: first.definition.primary,
              unit: "",
              better: first.definition.better,
              policy: { school: "best", n: 3, foul: "out" },
              ranking: "competition",
              resolution: "0.1",
              tieBreaks: ["second"],
              points: null,
              seed: String(randomInt(1000, 10_000)),
            },
          ),
          rule: showRule(d?.points ?? null),
          cautions: safety ? safety.cautions.join("\n") : first.definition.safety.join("\n") || usualCautions,
          officer: safety?.officer ?? "",
        }}
      />
    </>
  );
}
