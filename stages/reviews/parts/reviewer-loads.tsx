"use client";

import { hoursText } from "@/core/slots/hours";
import { useDates } from "@/ui/dates";
import { DataTable } from "@/ui/table";
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
    <DataTable
      caption="What is asked of each reviewer"
      columns={[
        { key: "name", text: "Reviewer" },
        { key: "reviews", text: "Reviews", num: true },
        { key: "waits", text: "Waits", num: true },
        { key: "stays", text: "Is needed" },
      ]}
      rows={reviewers.map((r) => ({
        id: r.name,
        cells: {
          name: {
            value: r.name,
            show: calendar && (
              <a className="underline decoration-line underline-offset-3" href={calendar + encodeURIComponent(r.name)}>
                {r.name}
              </a>
            ),
          },
          reviews: r.reviews,
          waits: r.waits || null,
          stays: r.stays.map((s) => `${shortDate(s.day)} ${hoursText([s.hours])}`).join("; ") || "not at all",
        },
      }))}
    />
  );
}
