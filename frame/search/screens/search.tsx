import { passageKind } from "@/core/vocabulary/project";
import { fullDate } from "@/platform/pages/dates";
import { projectPage } from "@/platform/pages/page";
import { plural } from "@/platform/registry/words";
import Link from "@/ui/link";
import { LinkChoice } from "@/ui/link-choice";
import { buttonClass, PageHead } from "@/ui/page";
import { passages, passagesShown } from "../passages";

/** All texts of the project by their words: notebooks, needs, builds, failures, reviews. */
export async function SearchScreen({ slug, typed, kind }: { slug: string; typed: string; kind?: string }) {
  const { frame, actor, staff } = await projectPage(slug);
  const of = passageKind.values.find((k) => k === kind);
  const found = await passages(frame.project.id, typed, actor, of);
  const href = (k: string) => `/p/${slug}/search?q=${encodeURIComponent(typed)}${k ? `&kind=${k}` : ""}`;
  return (
    <>
      <PageHead
        title="Search"
        note={
          staff
            ? "Every text of the record: notebooks, needs, builds, failures, reviews, actions."
            : "Every text of the record that you may read: your notebook, needs, builds, failures, reviews, actions."
        }
      />
      <form action={`/p/${slug}/search`} className="no-print mb-4 flex max-w-[640px] gap-2" role="search">
        <input
          type="search"
          name="q"
          defaultValue={typed}
          maxLength={200}
          aria-label="Words"
          placeholder="pivot leak"
          className="input grow"
        />
        {of && <input type="hidden" name="kind" value={of} />}
        <button type="submit" className={buttonClass("main")}>
          Search
        </button>
      </form>
      {typed && (
        <LinkChoice
          label="Kind"
          options={[{ value: "", label: "everything" }, ...passageKind.options]}
          chosen={of ?? ""}
          hrefOf={href}
        />
      )}
      <p role="status" className="my-3 text-soft">
        {!typed.trim()
          ? "Beginnings of words are enough; a text is found when it holds all of them. The newest stands first."
          : found.length === 0
            ? "No text holds all these words. Try fewer, or their beginnings."
            : found.length > passagesShown
              ? `The newest ${passagesShown} texts; there are more. A word more narrows them.`
              : `${plural(found.length, "text")}, the newest first.`}
      </p>
      <ul className="max-w-[860px]">
        {found.slice(0, passagesShown).map((p) => (
          <li key={`${p.kind}${p.path}${p.at}`} className="border-t border-line py-2">
            <p className="flex flex-wrap items-baseline justify-between gap-x-4">
              <Link href={`/p/${slug}${p.path}`} className="font-[600] hover:text-iron">
                {p.label}
              </Link>
              <span className="text-sm text-soft">{fullDate(p.at.slice(0, 10))}</span>
            </p>
            <p className="wrap-anywhere">
              {p.parts.map((x, i) =>
                x.hit ? (
                  <mark key={i} className="bg-ochre-wash font-[600] text-ink">
                    {x.text}
                  </mark>
                ) : (
                  x.text
                ),
              )}
            </p>
          </li>
        ))}
      </ul>
    </>
  );
}
