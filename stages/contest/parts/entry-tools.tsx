import type { ReactNode } from "react";
import type { FieldEvent } from "../queries/events";
import { WithdrawEntry } from "./buttons";
import { ChangeEntry } from "./correct-forms";

/** What the instructor may do with each entry of an event that is not confirmed. */
export function entryTools(event: FieldEvent): Record<string, ReactNode> | undefined {
  if (event.state === "confirmed") return;
  return Object.fromEntries(
    event.entries.map((n) => [
      n.id,
      <span key={n.id} className="no-print flex flex-wrap gap-x-2.5">
        {n.taken === 0 && n.builds.some((b) => b.id !== n.buildId) && (
          <ChangeEntry
            id={n.id}
            version={n.version}
            buildId={n.buildId ?? ""}
            builds={n.builds.map((b) => ({ value: b.id, label: `G${b.number}` }))}
          />
        )}
        <WithdrawEntry id={n.id} team={n.team} />
      </span>,
    ]),
  );
}
