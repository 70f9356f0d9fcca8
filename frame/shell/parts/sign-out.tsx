import { signOutAction } from "../actions";

/** The person's initials; opens to the name and the way out. */
export function SignOut({ name }: { name: string }) {
  const initials = name
    .split(/\s+/)
    .map((w) => w[0])
    .join("")
    .slice(0, 2)
    .toUpperCase();
  return (
    <details className="relative">
      <summary
        aria-label={`${initials}: signed in as ${name}`}
        className={
          "grid size-7 list-none place-items-center rounded-full bg-slate text-[11px] font-[650] " +
          "text-white [&::-webkit-details-marker]:hidden"
        }
      >
        {initials}
      </summary>
      <div className="absolute right-0 z-50 mt-1.5 min-w-44 rounded-md border border-line bg-sheet p-1.5 shadow-lg">
        <p className="px-2 py-1 text-sm text-soft">{name}</p>
        <form action={signOutAction}>
          <button type="submit" className="w-full rounded-sm px-2 py-1 text-left hover:bg-spine">
            Sign out
          </button>
        </form>
      </div>
    </details>
  );
}
