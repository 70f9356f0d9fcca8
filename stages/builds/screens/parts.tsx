import { notFound } from "next/navigation";
import { partSource } from "@/core/vocabulary/builds";
import { isId } from "@/platform/db/id";
import { projectPage } from "@/platform/pages/page";
import { settingsOf } from "@/platform/project/settings";
import { stockOf } from "@/stages/shop/queries/stock";
import Link from "@/ui/link";
import { LinkButton, PageHead } from "@/ui/page";
import { DataTable } from "@/ui/table";
import { Figure } from "@/ui/working";
import { buildActs } from "../acts";
import { AddPart, CopyParts, PartTools } from "../parts/part-forms";
import { buildById, buildsOf } from "../queries/builds";
import { partsOf } from "../queries/parts";
import { piecesOf } from "../queries/pieces";
import { partsView } from "../view/parts";
import { madeOf } from "../view/pieces";

/** A build's parts list: what each adds to mass and cost, the sum against the weighed whole, and where the mass is. */
export async function PartsScreen({ slug, id }: { slug: string; id: string }) {
  const page = await projectPage(slug);
  if (!isId(id)) notFound();
  const { project: p, units } = page.frame;
  const [b, parts, settings, builds, pieces, stock] = await Promise.all([
    buildById(p.id, id),
    partsOf(id),
    settingsOf(p.id),
    buildsOf(p.id),
    piecesOf(id),
    stockOf(p.id),
  ]);
  if (!b) notFound();
  const mine = page.may(buildActs.edit, { team: b.teamId });
  const view = partsView(parts, b, units, settings.donated);
  const made = madeOf(pieces);
  const choices = stock.map((x) => ({ value: x.id, label: x.name }));
  const before = builds.filter((x) => b.parents.includes(x.id));
  return (
    <>
      <PageHead
        title={
          <>
            {b.team} <span className="text-soft">G{b.number}</span>: parts
          </>
        }
        note={
          view.against
            ? `Against the build: ${view.against}.`
            : "Count, mass and price of one; what is not known is left empty."
        }
      >
        {mine &&
          before.map((x) => <CopyParts key={x.id} buildId={b.id} fromId={x.id} from={`${x.team} G${x.number}`} />)}
        <LinkButton href={`/p/${slug}/builds/${b.id}`}>To the build</LinkButton>
      </PageHead>
      {parts.length > 0 && (
        <div className="mb-3 flex flex-wrap items-baseline gap-x-6 gap-y-1">
          {view.mass.shown && (
            <span>
              <span className="text-soft">the parts weigh</span>{" "}
              <Figure big unit={units.mass} working={view.mass.working}>
                {view.mass.shown}
              </Figure>
            </span>
          )}
          {view.cost.shown && (
            <span>
              <span className="text-soft">and cost</span>{" "}
              <Figure big unit={p.currency} working={view.cost.working}>
                {view.cost.shown}
              </Figure>
            </span>
          )}
          {view.heaviest.length > 0 && (
            <span className="text-soft">
              most of the mass:{" "}
              {view.heaviest.map((h) => `${h.name} ${h.adds} ${units.mass} (${h.share} %)`).join(", ")}
            </span>
          )}
        </div>
      )}
      <DataTable
        caption="Parts"
        empty="No part is listed yet. With a parts list the build's mass and cost can be foreseen before it is weighed."
        columns={[
          { key: "name", text: "Part" },
          { key: "count", text: "Count", num: true },
          { key: "one", text: `Mass of one (${units.mass})`, num: true },
          { key: "all", text: `All (${units.mass})`, num: true },
          { key: "share", text: "Of the mass", num: true },
          { key: "cost", text: `Price of one (${p.currency})`, num: true },
          { key: "from", text: "From" },
          ...(made.size ? [{ key: "made", text: "Pieces cut", num: true }] : []),
          ...(mine ? [{ key: "tools", text: "", className: "no-print" }] : []),
        ]}
        rows={view.lines.map(({ part, typed, one, all, cost, share }) => ({
          id: part.id,
          cells: {
            name: { value: part.name, show: <span className="font-[600]">{part.name}</span> },
            count: { value: part.count },
            one: { value: one === null ? null : Number(part.mass), show: one ?? "–" },
            all: { value: all === null ? null : Number(part.mass) * part.count, show: all ?? "–" },
            share: { value: share, show: share === null ? "–" : `${Math.round(100 * share)} %` },
            cost: { value: cost === null ? null : Number(part.cost), show: cost ?? "–" },
            from: { value: [partSource.labels[part.source], part.supplier].filter(Boolean).join(", ") },
            made: {
              value: made.get(part.id)?.cut ?? null,
              show: made.has(part.id) && (
                <Link href={`/p/${slug}/builds/${b.id}/pieces`} className="underline">
                  {made.get(part.id)!.cut} of {made.get(part.id)!.of}
                </Link>
              ),
            },
            tools: {
              value: "",
              show: mine && (
                <PartTools
                  buildId={b.id}
                  id={part.id}
                  version={part.version}
                  name={part.name}
                  units={units}
                  currency={p.currency}
                  stock={choices}
                  defaults={{
                    name: part.name,
                    count: String(part.count),
                    mass: typed.mass,
                    cost: typed.cost,
                    source: part.source,
                    stockItemId: part.stockItemId ?? "",
                    supplier: part.supplier,
                  }}
                />
              ),
            },
          },
        }))}
      />
      {mine && (
        <div className="no-print mt-3">
          <AddPart buildId={b.id} units={units} currency={p.currency} stock={choices} />
        </div>
      )}
    </>
  );
}
