import { unitsOf } from "@/core/quantity/systems";
import { shortDate } from "@/platform/pages/dates";
import { projectPage } from "@/platform/pages/page";
import { Caution, Empty, PageHead } from "@/ui/page";
import { DataTable } from "@/ui/table";
import { toolActs } from "../acts";
import { EditSetting, NewSetting } from "../parts/setting-form";
import { ShopTabs } from "../parts/shop-tabs";
import { settingsTried } from "../queries/tools";

const looks = { worked: "text-moss", partly: "text-ochre-deep", failed: "font-[600] text-iron" } as const;

/** Settings found earlier: what was tried at which machine on which material, by whom, and what came of it. */
export async function SettingsScreen({ slug }: { slug: string }) {
  const page = await projectPage(slug);
  const p = page.frame.project;
  const tried = await settingsTried(p.id);
  const unit = unitsOf(p.units ?? "metric").side;
  const edits = page.may(toolActs.sign);
  return (
    <>
      <PageHead
        title="Machine settings"
        note="What was tried in this shop, this year and before, and what came of it."
      />
      <ShopTabs slug={slug} />
      <div className="mb-4 max-w-[860px]">
        <Caution>
          A record, not advice. Who is trained for the machine decides; the school's rules and the maker's manual come
          first. Begin with a trial piece of scrap, extraction on, eye protection, and never leave it alone.
        </Caution>
      </div>
      <div className="mb-4">{page.may(toolActs.record) && <NewSetting projectId={p.id} unit={unit} />}</div>
      {tried.length === 0 ? (
        <Empty title="Nothing is recorded yet">
          Write down what you set and what came out, also where it failed: the next class begins from there.
        </Empty>
      ) : (
        <DataTable
          caption="Settings that were tried"
          columns={[
            { key: "machine", text: "Machine" },
            { key: "material", text: "Material" },
            { key: "thickness", text: "Thickness", num: true },
            { key: "settings", text: "Settings" },
            { key: "outcome", text: "Came of it" },
            { key: "seen", text: "What was seen" },
            { key: "by", text: "Tried by" },
            ...(edits ? [{ key: "tools", text: "" }] : []),
          ]}
          rows={tried.map((t) => ({
            id: t.id,
            cells: {
              machine: t.machine,
              material: t.material,
              thickness: { value: t.thickness === null ? null : Number(t.thickness), show: thicknessOf(t, unit) },
              settings: t.settings,
              outcome: { value: t.outcome, className: looks[t.outcome] },
              seen: t.seen,
              by: `${t.triedBy}, ${shortDate(t.triedOn)}${t.edition ? `, ${t.edition}` : ""}`,
              tools: {
                value: null,
                show: t.edition ? null : (
                  <EditSetting
                    id={t.id}
                    version={t.version}
                    unit={unit}
                    typed={{
                      machine: t.machine,
                      material: t.material,
                      thickness: t.thicknessText,
                      settings: t.settings,
                      outcome: t.outcome,
                      seen: t.seen,
                    }}
                  />
                ),
              },
            },
          }))}
        />
      )}
    </>
  );
}

/** As it was typed, with its unit where none was. */
const thicknessOf = ({ thicknessText: typed }: { thicknessText: string }, unit: string): string =>
  typed && /^[\d.,\s]+$/.test(typed) ? `${typed.trim()} ${unit}` : typed;
