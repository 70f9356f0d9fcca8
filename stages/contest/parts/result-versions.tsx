import { instant } from "@/platform/pages/dates";
import { resultNotes } from "../queries/versions";
import { resultVersions } from "../view/versions";

/** The versions of an event's confirmed result: a change stands as a new one, which names what it changed. */
export async function ResultVersions({ projectId, eventId }: { projectId: string; eventId: string }) {
  const versions = resultVersions(await resultNotes(projectId, eventId));
  if (!versions.length) return null;
  return (
    <ul aria-label="Versions of the result" className="mt-3 grid gap-1 text-sm">
      {versions.map((v) => (
        <li key={v.number}>
          <strong>Version {v.number}</strong>{" "}
          <span className="text-soft">
            confirmed by {v.by}, {instant(v.at)}
          </span>
          {v.reason && `: ${v.reason}.`}
          {v.number > 1 && (
            <span className="block text-soft">
              {v.changed.length ? v.changed.join("; ") : "Nothing in it is otherwise than before."}
            </span>
          )}
        </li>
      ))}
    </ul>
  );
}
