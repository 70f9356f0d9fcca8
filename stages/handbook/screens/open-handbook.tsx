import { unitSystem } from "@/core/vocabulary/project";
import { Handbook } from "../parts/handbook";

/** The handbook by itself, for anybody and without a network: nothing of a project stands on it. */
export function OpenHandbook({ units: asked }: { units?: string }) {
  const units = unitSystem.values.find((u) => u === asked) ?? "metric";
  return (
    <main className="mx-auto max-w-[1180px] px-5 py-6">
      <Handbook base="" units={units} />
    </main>
  );
}
