import type { Build } from "../queries/builds";

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
