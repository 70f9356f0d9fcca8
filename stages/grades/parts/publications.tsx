import { instant } from "@/platform/pages/dates";
import type { PublishedLines } from "../queries/publications";
import { publishedFor } from "../view/states";
import { TakeBackPublication } from "./take-back-publication";

/** What was published, version by version; a withdrawn one stays with its reason. */
export function Publications({
  publications,
  sections,
}: {
  publications: readonly PublishedLines[];
  sections: readonly { name: string }[];
}) {
  if (!publications.length) return null;
  return (
    <ul className="mt-2 text-sm text-soft">
      {publications.map((x) => {
        const held = publishedFor(x.ledger, sections);
        return (
          <li key={x.id} className="border-b border-line py-1 last:border-0">
            <span className={x.withdrawnAt ? "line-through" : undefined}>
              Version {x.number}
              {held && ` of ${held}`}, {instant(x.publishedAt)}, {x.publishedBy}, scheme v{x.schemeVersion}
              {x.whatChanged && `: ${x.whatChanged}`}
            </span>{" "}
            {x.withdrawnAt ? (
              <span className="text-ink">
                withdrawn {instant(x.withdrawnAt)} by {x.withdrawnBy}: {x.withdrawnReason}
              </span>
            ) : (
              <TakeBackPublication id={x.id} version={x.version} />
            )}
          </li>
        );
      })}
    </ul>
  );
}
