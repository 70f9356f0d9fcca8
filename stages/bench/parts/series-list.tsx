import { shortDate } from "@/platform/pages/dates";
import Link from "@/ui/link";
import { LinkButton } from "@/ui/page";
import type { Series } from "../queries/series";
import { becameWords } from "../view/series";

/** The series of a build under a protocol, and the way to another one. */
export function SeriesList({
  slug,
  series,
  more,
}: {
  slug: string;
  series: readonly Series[];
  /** Where a logger's file is chosen, and where an instrument is listened to; none for whoever may not. */
  more: { file: string; live: string } | null;
}) {
  return (
    <section aria-label="Series" className="my-3 flex flex-wrap items-baseline gap-x-4 gap-y-1">
      <h2 className="text-[14px]">Series</h2>
      {series.map((s) => (
        <span key={s.id} className="text-sm">
          <Link href={`/p/${slug}/bench/series?id=${s.id}`} className="font-[600] underline">
            {s.source || s.key}
          </Link>{" "}
          <span className="text-soft">
            {shortDate(s.at.slice(0, 10))}, {s.samples} samples, {becameWords(s)}
          </span>
        </span>
      ))}
      {more && (
        <>
          <LinkButton href={more.live}>From an instrument</LinkButton>
          <LinkButton href={more.file}>From a logger's file</LinkButton>
        </>
      )}
    </section>
  );
}
