"use client";

import { hoursText } from "@/core/slots/hours";
import { useDates } from "@/ui/dates";
import type { SlotBoard } from "../view/slots";

/** What a plan asks of each reviewer. */
export function ReviewerLoads({
  reviewers,
  calendar,
}: {
  reviewers: SlotBoard["reviewers"];
  /** Where a reviewer's own calendar is, without the name. */
  calendar?: string;
}) {
  const { shortDate } = useDates();
  return (
    <div className="overflow-x-auto" role="region" tabIndex={0} aria-label="What is asked of each reviewer">
      <table className="table">
        <thead>
          <tr>
            <th>Reviewer</th>
            <th className="num">Reviews</th>
            <th className="num">Waits</th>
            <th>Is needed</th>
          </tr>
        </thead>
        <tbody>
          {reviewers.map((r) => (
            <tr key={r.name}>
              <td>
                {calendar ? (
                  <a
                    className="underline decoration-line underline-offset-3"
                    href={calendar + encodeURIComponent(r.name)}
                  >
                    {r.name}
                  </a>
                ) : (
                  r.name
                )}
              </td>
              <td className="num">{r.reviews}</td>
              <td className="num">{r.waits || <span className="text-soft">–</span>}</td>
              <td>{r.stays.map((s) => `${shortDate(s.day)} ${hoursText([s.hours])}`).join("; ") || "not at all"}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
