import type { ScoreSheet } from "../view/papers";

/** A sheet to be filled in by hand. */
export const ScoreSheetTable = ({ name, sheet }: { name: string; sheet: ScoreSheet }) => (
  <section className="mb-8 break-after-page last:break-after-auto">
    <h2 className="mb-1">{name}</h2>
    <div className="overflow-x-auto" tabIndex={0} role="region" aria-label={`Score sheet of ${name}`}>
      <table className="w-full border-collapse text-sm">
        <thead>
          <tr>
            {sheet.columns.map((c, i) => (
              <th key={i} scope="col" className="border border-[#999] px-2 py-1 text-left font-[600]">
                {c}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {sheet.rows.map((r) => (
            <tr key={r.key} className="break-inside-avoid">
              {r.cells.map((cell, i) => (
                <td key={i} className="h-9 min-w-12 border border-[#999] px-2">
                  {cell}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
    {sheet.rows.length === 0 && <p className="text-soft">Nothing is drawn yet.</p>}
  </section>
);
