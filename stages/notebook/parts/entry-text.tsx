import { piecesOf } from "@/core/text/references";
import Link from "@/ui/link";

/** An entry's words; generations of the writer's team and requirements that it names lead to them. */
export const EntryText = ({
  text,
  base,
  builds,
}: {
  text: string;
  /** The project's address. */
  base: string;
  /** Ids of the writer's team's builds by their numbers. */
  builds: ReadonlyMap<number, string> | undefined;
}) => (
  <p className="max-w-[72ch] whitespace-pre-wrap">
    {piecesOf(text).map((p, i) => {
      const href =
        "requirement" in p
          ? `${base}/needs?open=${p.requirement}`
          : "build" in p && builds?.has(p.build)
            ? `${base}/builds/${builds.get(p.build)}`
            : null;
      const key = `${i} ${p.text}`;
      return href ? (
        <Link key={key} href={href} className="underline decoration-line underline-offset-3 hover:text-iron">
          {p.text}
        </Link>
      ) : (
        <span key={key}>{p.text}</span>
      );
    })}
  </p>
);
