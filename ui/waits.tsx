import Link from "./link";

/** What waits for somebody: whose it is, what it is and where, a line each. */
export const Waits = ({
  items,
  base,
}: {
  items: readonly { readonly who: string; readonly what: string; readonly stage: string; readonly path: string }[];
  /** The project's address. */
  base: string;
}) =>
  items.length === 0 ? (
    <p className="py-2 text-soft">Nothing waits for you here.</p>
  ) : (
    <ul>
      {items.map((x) => (
        <li key={x.path + x.what} className="flex gap-4 border-b border-line py-1.5">
          <span className="w-40 shrink-0 font-[600]">{x.who}</span>
          <Link href={base + x.path} className="grow hover:text-iron">
            {x.what}
          </Link>
          <span className="shrink-0 text-sm text-soft">{x.stage}</span>
        </li>
      ))}
    </ul>
  );
