import { Handbook } from "../parts/handbook";

/** The handbook by itself, for anybody and without a network: nothing of a project stands on it. */
export function OpenHandbook() {
  return (
    <main className="mx-auto max-w-[1180px] px-5 py-6">
      <Handbook base="" units="metric" />
    </main>
  );
}
