import { inspectionOutcome } from "@/core/vocabulary/contest";
import { instant } from "@/platform/pages/dates";
import { Fold } from "@/ui/fold";
import { WithdrawButton } from "@/ui/form/withdraw-button";
import { VerdictMark } from "@/ui/verdict";
import { withdrawInspectionAction } from "../actions";
import type { Inspected } from "../queries/inspections";

/** Every inspection of a build, the newest first, each with what was found on its lines. */
export const InspectionHistory = ({ inspections, staff }: { inspections: readonly Inspected[]; staff: boolean }) => (
  <ol>
    {inspections.map((i, at) => (
      <li key={i.id} className="border-b border-line py-2 last:border-0">
        <p>
          <strong className="font-[650]">{inspectionOutcome.labels[i.outcome] || i.outcome}</strong>{" "}
          <span className="text-sm text-soft">
            {i.by}, {instant(i.at)}
          </span>
        </p>
        {i.waiver && <p className="text-sm">Waiver: {i.waiver}</p>}
        {i.note && <p className="text-sm">{i.note}</p>}
        {at === 0 && i.changed && i.outcome !== "released" && (
          <p className="text-sm text-ochre-deep">The build was changed since: inspect it again.</p>
        )}
        {i.checks.length > 0 && (
          <Fold label={`${i.checks.length} lines`} labelClass="text-sm text-soft" start={at === 0}>
            <table className="table">
              <caption className="sr-only">Inspection {i.number}</caption>
              <thead>
                <tr>
                  <th scope="col">Line</th>
                  <th scope="col">Limit</th>
                  <th scope="col">Found</th>
                  <th scope="col">Margin</th>
                </tr>
              </thead>
              <tbody>
                {i.checks.map((c) => (
                  <tr key={c.key}>
                    <th scope="row" className="text-left text-[13.5px] font-normal text-ink">
                      {c.label}
                    </th>
                    <td className="whitespace-nowrap">{c.asks}</td>
                    <td>
                      <span className="inline-flex items-center gap-1.5">
                        <VerdictMark verdict={c.verdict} size={12} /> {c.typed || "not looked at"}
                      </span>
                    </td>
                    <td className="whitespace-nowrap">{c.margin}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          </Fold>
        )}
        {staff && at === 0 && (
          <WithdrawButton
            action={withdrawInspectionAction}
            id={i.id}
            name={`inspection ${i.number}`}
            says="It is taken out of the record: what was decided of the build before counts again."
          >
            take out
          </WithdrawButton>
        )}
      </li>
    ))}
  </ol>
);
