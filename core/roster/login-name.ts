import { plainLetters } from "../text/plain";

/**
 * A sign-in name from a person's name: small plain letters, first and last name with a point between, a number where it
 * is taken already. Of a name without Latin letters or digits, `student`.
 * @example loginNameFor("Łucja Ångström-Çelik", new Set()) // => "lucja.angstrom-celik"
 * @example loginNameFor("Ada Quill", new Set(["ada.quill", "ada.quill2"])) // => "ada.quill3"
 * @example loginNameFor("王芳", new Set()) // => "student"
 */
export function loginNameFor(name: string, taken: ReadonlySet<string>): string {
  const words = plainLetters(name)
    .split(/\s+/)
    .map((w) => w.replace(/[^a-z0-9-]/g, "").replace(/^-+|-+$/g, ""))
    .filter(Boolean);
  const base = (words.length > 1 ? `${words[0]}.${words.at(-1)}` : (words[0] ?? "student")).slice(0, 40);
  for (let n = 1; ; n++) {
    const made = n === 1 ? base : `${base}${n}`;
    if (!taken.has(made)) return made;
  }
}
