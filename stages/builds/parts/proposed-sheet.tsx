import { Fold } from "@/ui/fold";
import { Sheet } from "@/ui/page";
import { VerdictMark } from "@/ui/verdict";
import type { Build } from "../queries/builds";
import type { claimsView, Proposal, proposedView } from "../view/proposed";

const Pictures = ({ of, title }: { of: readonly { id: string; caption: string }[]; title: string }) =>
  of.length === 0 ? (
    <p className="text-sm text-soft">no picture</p>
  ) : (
    <div className="grid gap-2">
      {of.slice(0, 2).map((f) => (
        <img
          key={f.id}
          src={`/api/file/${f.id}`}
          alt={f.caption || title}
          loading="lazy"
          className="w-full rounded-sm border border-line"
        />
      ))}
    </div>
  );

/** A build beside the concept that its team took up: what was proposed, what was built, and by how much they differ. */
export const ProposedSheet = ({
  proposal,
  build,
  rows,
  claims,
}: {
  proposal: Proposal;
  build: Build;
  rows: ReturnType<typeof proposedView>;
  claims: ReturnType<typeof claimsView>;
}) => (
  <Sheet title="As proposed, as built">
    <table className="w-full">
      <thead>
        <tr className="text-left text-sm text-soft">
          <th className="w-16 font-normal" />
          <th className="font-normal">proposed: {proposal.title}</th>
          <th className="font-normal">built</th>
          <th className="text-right font-normal">difference</th>
        </tr>
      </thead>
      <tbody>
        {rows.map((r) => (
          <tr key={r.name} className="border-t border-line">
            <td className="py-0.5 text-soft">{r.name}</td>
            <td className="py-0.5">{r.proposed}</td>
            <td className="py-0.5">{r.built}</td>
            <td className="py-0.5 text-right">{r.off}</td>
          </tr>
        ))}
      </tbody>
    </table>
    {(proposal.idea || proposal.dimensions) && (
      <p className="mt-1.5 text-sm text-soft">{[proposal.idea, proposal.dimensions].filter(Boolean).join(" · ")}</p>
    )}
    {claims.length > 0 && (
      <Fold label={`What it claimed, and what was shown (${claims.length})`} className="mt-2" labelClass="text-soft">
        <table className="w-full">
          <thead>
            <tr className="text-left text-sm text-soft">
              <th className="font-normal">requirement</th>
              <th className="font-normal">claimed</th>
              <th className="font-normal">built</th>
            </tr>
          </thead>
          <tbody>
            {claims.map((c) => (
              <tr key={c.code} className="border-t border-line align-top">
                <td className="py-0.5 pr-2">
                  <span className="font-[600]">{c.code}</span> <span className="text-soft">{c.statement}</span>
                </td>
                <td className="py-0.5 pr-2">
                  {c.says}
                  {c.how && <span className="block text-sm text-soft">{c.how}</span>}
                </td>
                <td className="py-0.5">
                  <VerdictMark verdict={c.verdict} word />
                  {c.reached && <span className="block text-sm text-soft">{c.reached}</span>}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </Fold>
    )}
    <div className="mt-2 grid grid-cols-2 gap-3">
      <Pictures of={proposal.sketches} title={`${proposal.title}, proposed`} />
      <Pictures of={build.photos} title={`${build.team} G${build.number}`} />
    </div>
  </Sheet>
);
