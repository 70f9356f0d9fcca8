import { nameAndReason } from "@/core/vocabulary/vocabulary";
import "server-only";
import { withoutNames } from "@/core/text/names";
import { incidentKind } from "@/core/vocabulary/shop";
import { toCsv } from "@/platform/csv/csv";
import { incidentsOf, studentNames } from "./queries/safety";
import { partsNeeded, stockOf } from "./queries/stock";
import { shoppingList, stockLines } from "./view/stock";

/** What happened in the shop, for whoever must be told, without names of students. */
export async function incidentsTable(project: { id: string }): Promise<string> {
  const [incidents, names] = await Promise.all([incidentsOf(project.id), studentNames(project.id)]);
  const without = withoutNames(names);
  const bare = (text: string | null) => without(text ?? "");
  return toCsv([
    ["day", "kind", "machine", "place", "what happened", "done at once", "who was told", "what was changed", "closed"],
    ...incidents.map((i) => [
      i.onDate,
      nameAndReason(incidentKind.labels[i.kind])[0],
      i.tool ?? "",
      bare(i.place),
      bare(i.what),
      bare(i.done),
      bare(i.told),
      bare(i.changed),
      i.closedAt ? "yes" : "no",
    ]),
  ]);
}

/** What is to be bought for the class. */
export async function shoppingTable(project: { id: string; currency: string }): Promise<string> {
  const [items, parts] = await Promise.all([stockOf(project.id), partsNeeded(project.id)]);
  return toCsv([
    ["what", "how much", "counted in", `cost (${project.currency})`, "supplier", "for"],
    ...shoppingList(stockLines(items, parts), parts).map((b) => [
      b.name,
      b.count,
      b.unit,
      b.cost ?? "",
      b.supplier,
      b.why,
    ]),
  ]);
}
