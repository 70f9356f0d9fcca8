/**
 * A text without these people's names, for what leaves the school: a whole name, a family name or a given name of at
 * least three letters gives way to other words; words that only begin so stay.
 * @example withoutNames("Tomas and Mae Lin cut it; tomatoes too", ["Tomas Reyes", "Mae Lin"])
 * // => "a student and a student cut it; tomatoes too"
 */
export function withoutNames(text: string, names: readonly string[], instead = "a student"): string {
  const escaped = (name: string) => name.replaceAll(/[.*+?^${}()|[\]\\]/g, "\\$&");
  const whole = [...names].sort((a, b) => b.length - a.length);
  const parts = names.flatMap((n) => n.split(/\s+/).filter((p) => p.length > 2));
  return [...whole, ...parts]
    .filter(Boolean)
    .reduce(
      (t, n) => t.replaceAll(new RegExp(`(?<![\\p{L}\\p{N}])${escaped(n)}(?![\\p{L}\\p{N}])`, "giu"), instead),
      text,
    );
}
