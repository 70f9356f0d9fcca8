import { cx } from "@/ui/classes";
import { Empty } from "@/ui/page";
import { type ComparePart, groupsView } from "../view/compare";
import { GroupsTable, PairsTable } from "./comparison-tables";
import { LazyGenerationsChart } from "./lazy-charts";
import { LevelsTable } from "./levels-table";

/** A team's builds, or the teams' latest tested builds, side by side and two by two. */
export function CompareGroups({ slug, chosen, builds, valuesOf }: ComparePart) {
  const { channel, digits, protocol } = chosen;
  const view = groupsView(chosen, builds, valuesOf);
  const name = chosen.by === "teams" ? "Team" : "Build";
  if (view.groups.length === 0)
    return <Empty title="Nothing to compare yet">No run of these builds counts under this protocol.</Empty>;
  return (
    <div className="grid gap-5">
      {view.levelled && (
        <LevelsTable
          slug={slug}
          name={name}
          channel={channel}
          levels={channel.levels!}
          groups={view.levelled}
          protocolId={protocol.id}
        />
      )}
      {!view.levelled && (
        <div className={cx("grid items-start gap-5", view.groups.length <= 5 && "xl:grid-cols-2")}>
          <LazyGenerationsChart
            name={channel.name}
            by={name.toLowerCase()}
            unit={channel.unit}
            generations={view.groups}
            axis={view.axis}
          />
          <GroupsTable
            slug={slug}
            groups={view.groups}
            channel={channel}
            digits={digits}
            protocolId={protocol.id}
            name={name}
          />
        </div>
      )}
      {view.pairs.length > 0 && (
        <div>
          {view.against && (
            <p className="mb-1.5 text-sm text-soft">
              Each against the best, {view.against}. All pairs are corrected for.
            </p>
          )}
          <PairsTable pairs={view.pairs} channel={channel} digits={digits} />
          {view.pairs.length > 1 && (
            <p className="mt-1.5 text-sm text-soft">
              Of many comparisons one in twenty looks clear by chance alone; p is corrected for that (Holm).
            </p>
          )}
        </div>
      )}
    </div>
  );
}
