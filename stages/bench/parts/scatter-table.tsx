import { headed } from "@/core/run/reading";
import { cx } from "@/ui/classes";
import { DataTable } from "@/ui/table";
import type { pilotView } from "../view/pilot";

/** Each condition over the pilot runs: how far it wandered against its tolerance, and whether the result minded. */
export const ScatterTable = ({ rows }: { rows: ReturnType<typeof pilotView>["conditions"] }) => (
  <DataTable
    caption="Scatter of the conditions"
    columns={[
      { key: "name", text: "Condition" },
      { key: "n", text: "Measured in", num: true },
      { key: "range", text: "From, to", num: true },
      { key: "sd", text: "Spread (sd)", num: true },
      { key: "share", text: "2 sd over tolerance", num: true },
      { key: "outside", text: "Runs outside", num: true },
      { key: "link", text: "And the result" },
    ]}
    rows={rows.map((c) => ({
      id: c.key,
      cells: {
        name: { value: headed(c), show: <span className="font-[600]">{headed(c)}</span> },
        n: { value: c.n },
        range: { value: c.low, show: c.range },
        sd: { value: c.sd, show: c.shownSd },
        share: {
          value: c.share,
          show: <span className={cx(c.share !== null && c.share > 1 && "font-[650] text-iron")}>{c.shownShare}</span>,
        },
        outside: { value: c.outside },
        link: { value: c.withResult, show: c.link },
      },
    }))}
  />
);
