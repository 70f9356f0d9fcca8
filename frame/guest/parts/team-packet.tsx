import type { ProjectUnits } from "@/core/quantity/systems";
import { packetPart } from "@/core/vocabulary/reviews";
import { LeftOut, PacketSection } from "@/stages/reviews/parts/packet-parts";
import { packetOf } from "@/stages/reviews/queries/packet-facts";
import { pickedPacket, shownParts } from "@/stages/reviews/view/packet";
import { Fold } from "@/ui/fold";

/** What the team brings to the review, for a reviewer with a link: part by part, in the team's order. */
export async function TeamPacket({
  reviewId,
  project,
  currency,
  units,
}: {
  reviewId: string;
  project: string;
  currency: string;
  units: ProjectUnits;
}) {
  const found = await packetOf({ id: project, currency }, units, reviewId);
  if (!found?.packet) return null;
  const { review } = found;
  const { picked, left } = pickedPacket(found.packet, review.packetLeft);
  return (
    <section className="mt-6" aria-label="What the team brings">
      <h2 className="mb-1.5">What the team brings</h2>
      {shownParts(review.packet).map((part, i) => (
        <Fold
          key={part}
          label={packetPart.labels[part]}
          start={i === 0}
          className="border-b border-line py-1.5"
          labelClass="font-[650]"
        >
          <div className="overflow-x-auto py-1.5" tabIndex={0} role="region" aria-label={packetPart.labels[part]}>
            <PacketSection part={part} packet={picked} units={{ mass: units.mass, cost: currency }} />
            <LeftOut n={left[part]} />
          </div>
        </Fold>
      ))}
    </section>
  );
}
