import type { Build, buildsBefore } from "../queries/builds";
import { writeLines } from "./lines";

/** What the form of a new build holds when it starts from one of the edition before, without some of its features. */
export function startFrom(
  before: Pick<Awaited<ReturnType<typeof buildsBefore>>[number], "id" | "name" | "edition" | "features" | "variables">,
  /** Positions of the features that it does without, as the address carries them. */
  without: readonly string[],
) {
  const leaves = (_: string, i: number) => without.includes(String(i));
  const gone = before.features.filter(leaves);
  return {
    fromEdition: before.id as string,
    features: before.features.filter((f, i) => !leaves(f, i)).join(", "),
    variables: writeLines(before.variables),
    whatChanged: `Starts from ${before.name}, ${before.edition}${gone.length ? `, without ${gone.join(", ")}` : ""}`,
    dropped: gone.map((f) => `${f}: `).join("\n"),
  };
}

/** What became of the features of the builds that this one was made from. */
export function featuresView(build: Pick<Build, "features" | "dropped">, parents: readonly Pick<Build, "features">[]) {
  const before = [...new Set(parents.flatMap((p) => p.features))];
  const gone = [...new Set([...before.filter((f) => !build.features.includes(f)), ...Object.keys(build.dropped)])];
  return {
    kept: build.features.filter((f) => before.includes(f)),
    added: build.features.filter((f) => !before.includes(f)),
    /** With the reason; empty where nobody wrote one. */
    dropped: gone.map((feature) => ({ feature, reason: build.dropped[feature] ?? "" })),
  };
}
