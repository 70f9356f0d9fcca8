/**
 * What takes these people's names out of texts, for what leaves the school; its patterns are made once, for many texts.
 * A whole name, a family name or a given name of at least three letters gives way to other words; words that only begin
 * so stay.
 * @example withoutNames(["Tomas Reyes", "Mae Lin"])("Tomas and Mae Lin cut it; tomatoes too")
 * // => "a student and a student cut it; tomatoes too"
 */
export function withoutNames(names: readonly string[], instead = "a student"): (text: string) => string {
  const escaped = (name: string) => name.replaceAll(/[.*+?^${}()|[\]\\]/g, "\\$&");
  const whole = [...names].sort((a, b) => b.length - a.length);
  const parts = names.flatMap((n) => n.split(/\s+/).filter((p) => p.length > 2));
  const patterns = [...new Set([...whole, ...parts])]
    .filter(Boolean)
    .map((n) => new RegExp(`(?<![\\p{L}\\p{N}])${escaped(n)}(?![\\p{L}\\p{N}])`, "giu"));
  return (text) => patterns.reduce((t, p) => t.replaceAll(p, instead), text);
}
