import { Fold } from "@/ui/fold";
import { Figure } from "@/ui/working";
import { workingAt } from "@/ui/working-at";
import { type GridColumn, type GridRow, lookOf, takes, typedOf } from "../view/gradebook";
import type { Over } from "./use-marks";

/** What stands in the cell that has the keys: what was typed, what it counts, what the column takes. */
export function GridSays({
  slug,
  row,
  column,
  at,
  over,
}: {
  slug: string;
  row: GridRow;
  column: GridColumn;
  at: number;
  over: Over | null;
}) {
  const typed = typedOf(row, at);
  const [alone] = row.students.length === 1 ? row.students : [];
  const cell = alone?.cells[at];
  return (
    <div className="no-print mb-2 grid gap-0.5 text-sm">
      <p role="status">
        <strong>
          {row.name}, {column.name}
        </strong>{" "}
        {over?.wrong ? (
          <span className="text-iron">
            “{over.typed}” is not saved. {over.wrong}
          </span>
        ) : over ? (
          <span className="text-soft">“{over.typed}” is being saved.</span>
        ) : (
          <>
            {typed && <span>typed “{typed}”</span>}{" "}
            {cell && (
              <Figure working={workingAt(slug, "grade", { person: alone!.id, component: column.key })}>
                {cell.percent === undefined ? cell.state : `${lookOf(row, at).text}`}
              </Figure>
            )}{" "}
            {cell?.computed !== undefined && (
              <span className="text-soft">
                computed: {cell.computed}
                {/^\d/.test(cell.computed) && " %"}
              </span>
            )}
          </>
        )}{" "}
        <span className="text-soft">
          · {column.name} takes: {takes(column)}
        </span>
      </p>
      <Fold label="How to type" labelClass="text-soft">
        <div className="mt-1 grid max-w-[900px] gap-1 text-soft">
          <p>
            A number, a letter or 17 of 20, with a remark after it; <em>ex</em> or <em>miss</em> with the reason;
            nothing takes back what was typed. Enter goes down, Tab to the right, Escape leaves the cell as it was.
          </p>
          <p>
            Arrows go from cell to cell, with Shift they mark a range. Ctrl C and Ctrl V copy and paste, from and to a
            spreadsheet too; Ctrl D fills down, Delete empties, Ctrl Z undoes, Ctrl Y does it again; Ctrl Enter gives
            the mark to the whole team.
          </p>
          <p>
            Told apart: <span>not due</span>, <span className="text-slate italic">excused</span>,{" "}
            <span className="font-[600] text-iron">0 missing</span>, and <span className="text-ochre-deep">85.0 ✎</span>
            , which is set by hand over what the record says.
          </p>
        </div>
      </Fold>
    </div>
  );
}
