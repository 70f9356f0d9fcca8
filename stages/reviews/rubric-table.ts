import "server-only";
import { rubricRows } from "@/core/sheet/rubric-table";
import { toCsv } from "@/platform/csv/csv";
import { rubricsOf } from "./queries/reviews";

/** A rubric as CSV, the one that the address names; the first one otherwise. */
export async function rubricTable(
  { id }: { id: string },
  _today: string,
  only?: { section: string | null; which?(name: string): string },
): Promise<string> {
  const all = await rubricsOf(id);
  const asked = only?.which?.("id");
  const rubric = all.find((r) => r.id === asked) ?? all[0];
  return toCsv(rubric ? rubricRows(rubric.definition) : []);
}
