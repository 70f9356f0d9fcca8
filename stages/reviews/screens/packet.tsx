import { notFound } from "next/navigation";
import { packetPart } from "@/core/vocabulary/reviews";
import { isId } from "@/platform/db/id";
import { longDate, shortDate } from "@/platform/pages/dates";
import { projectPage } from "@/platform/pages/page";
import { Empty, LinkButton, PageHead, Sheet } from "@/ui/page";
import { PrintButton } from "@/ui/print-button";
import { reviewActs } from "../acts";
import { PacketOrder } from "../parts/packet-order";
import { LeftOut, PacketSection } from "../parts/packet-parts";
import { packetOf } from "../queries/packet-facts";
import { packetItems, pickedPacket, shownParts } from "../view/packet";

/** What a team brings to a review, made from its record: on screen, and printed. */
export async function PacketScreen({ slug, id }: { slug: string; id: string }) {
  const { frame, staff, ownTeam } = await projectPage(slug, reviewActs.read);
  const p = frame.project;
  const found = isId(id) ? await packetOf(p, frame.units, id) : null;
  if (!found) notFound();
  const { review, build, packet } = found;
  const mine = staff || review.teamId === ownTeam;
  if (!mine) notFound();
  const parts = shownParts(review.packet);
  const head = (
    <PageHead
      title={
        <>
          {review.team} <span className="text-soft">{review.title}</span>
        </>
      }
      note={`${longDate(review.heldOn)}${build ? ` · build G${build.number}, ${build.stage}` : ""}`}
    >
      <PrintButton />
      <LinkButton href={`/p/${slug}/reviews/${id}`}>The review</LinkButton>
    </PageHead>
  );
  if (!build || !packet)
    return (
      <>
        {head}
        <Empty title="No build yet">
          The packet is made from the team's builds and runs: the first build comes first.
        </Empty>
      </>
    );
  const { picked, left } = pickedPacket(packet, review.packetLeft);
  return (
    <>
      {head}
      <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-5 lg:grid-cols-[minmax(0,1fr)_320px] print:block">
        <div className="grid min-w-0 max-w-[820px] grid-cols-[minmax(0,1fr)] gap-5 print:block">
          {parts.map((part) => (
            <section key={part} aria-labelledby={`packet-${part}`} className="print:mb-5">
              <h2 id={`packet-${part}`} className="mb-1.5 break-after-avoid">
                {packetPart.labels[part]}
                {part === "changed" && packet.before && (
                  <span className="font-normal text-soft">
                    {" "}
                    since {packet.before.title}, {shortDate(packet.before.heldOn)}
                    {packet.before.verdict && ` (${packet.before.verdict})`}
                  </span>
                )}
              </h2>
              <div className="overflow-x-auto print:overflow-visible">
                <PacketSection part={part} packet={picked} units={{ mass: frame.units.mass, cost: p.currency }} />
              </div>
              <LeftOut n={left[part]} />
            </section>
          ))}
        </div>
        <Sheet title="What is shown" className="no-print">
          <p className="mb-2 text-soft">Made from the record; nothing is typed anew. The team picks the order.</p>
          <PacketOrder
            key={[...review.packet, ...review.packetLeft].join()}
            id={review.id}
            was={review.packet}
            shown={parts}
            wasLeft={review.packetLeft}
            items={packetItems(packet)}
          />
        </Sheet>
      </div>
    </>
  );
}
