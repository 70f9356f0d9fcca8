"use client";

import { failureSeverity } from "@/core/vocabulary/builds";
import { nameAndReason } from "@/core/vocabulary/vocabulary";
import { cx } from "@/ui/classes";
import { useSend } from "@/ui/form/send";
import { WithdrawButton } from "@/ui/form/withdraw-button";
import { Select } from "@/ui/select";
import { closeFailureAction, withdrawFailureAction } from "../actions";
import type { FailureRow } from "../queries/failures";
import { FailureForm } from "./failure-form";

/** Which build answers it: chosen among the later ones of the team, or none yet. */
function Answered({ failure, later }: { failure: FailureRow; later: readonly { value: string; label: string }[] }) {
  const { send, busy, note } = useSend(closeFailureAction);
  return (
    <span className="inline-flex flex-wrap items-center gap-2">
      <Select
        aria-label={`Which build answers “${failure.mode}”`}
        value={failure.closedBy ?? ""}
        empty="not answered yet"
        options={later}
        disabled={busy}
        onChange={(v) => void send({ id: failure.id, version: failure.version, closedBy: v || undefined })}
      />
      {note && (
        <span role="alert" className="text-sm text-iron">
          {note}
        </span>
      )}
    </span>
  );
}

/** What failed at a build, numbered as the pins on its photos are, and which build answers it. */
export function FailureList({
  buildId,
  failures,
  later,
  causes,
  photos,
  mine,
}: {
  buildId: string;
  failures: readonly FailureRow[];
  later: readonly { value: string; label: string }[];
  causes: readonly string[];
  photos: readonly { id: string; caption: string }[];
  mine: boolean;
}) {
  return (
    <div className="grid gap-3">
      {failures.length === 0 && (
        <p className="text-soft">
          None recorded. A failure that is written down with its likely cause is worth more than a run that went well.
        </p>
      )}
      <ol className="grid gap-3">
        {failures.map((f, i) => (
          <li key={f.id} className="grid gap-1 border-b border-line pb-2.5 last:border-0 last:pb-0">
            <p>
              <span className="mr-1.5 font-[650] text-soft">{i + 1}</span>
              <span className="font-[600]">{f.mode}</span>
              {f.place && ` · ${f.place}`}
            </p>
            <p className={cx("text-sm", f.severity === "danger" || f.severity === "stop" ? "text-iron" : "text-soft")}>
              {nameAndReason(failureSeverity.labels[f.severity])[0]}
              {f.cause ? ` · likely ${f.cause}` : " · cause not known yet"} · {f.recordedBy}
            </p>
            {f.nextStep && <p>Next: {f.nextStep}</p>}
            {mine ? (
              <div className="no-print flex flex-wrap items-center gap-x-3 gap-y-1 text-sm">
                {later.length > 0 && <Answered failure={f} later={later} />}
                <FailureForm
                  buildId={buildId}
                  id={f.id}
                  version={f.version}
                  causes={causes}
                  photos={photos}
                  defaults={{
                    mode: f.mode,
                    place: f.place,
                    cause: f.cause,
                    severity: f.severity,
                    nextStep: f.nextStep,
                    photoId: f.photoId ?? "",
                    pinX: f.pinX === null ? undefined : Number(f.pinX),
                    pinY: f.pinY === null ? undefined : Number(f.pinY),
                  }}
                />
                <WithdrawButton action={withdrawFailureAction} id={f.id} name={f.mode}>
                  withdraw
                </WithdrawButton>
              </div>
            ) : (
              <p className="text-sm text-soft">{f.answeredBy ? `answered by G${f.answeredBy}` : "not answered yet"}</p>
            )}
          </li>
        ))}
      </ol>
      {mine && <FailureForm buildId={buildId} causes={causes} photos={photos} />}
    </div>
  );
}
