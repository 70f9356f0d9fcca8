import type { CutSheet } from "../view/cutting";

const tints = ["#e5dccb", "#d3c4ab", "#dfe3e6", "#e3e6d8", "#efe0c6", "#e6d5cd"];

/** Blanks as they are cut, to scale, with their cuts in order; those that are cut alike are drawn once. */
export function CutSheets({ sheets }: { sheets: readonly CutSheet[] }) {
  const names = [...new Set(sheets.flatMap((s) => s.places.map((p) => p.piece)))];
  return (
    <ol className="grid gap-5">
      {sheets.map((s) => {
        const em = s.length / 46;
        return (
          <li key={s.key} className="break-inside-avoid">
            <p className="mb-1">
              <strong className="font-[650]">
                {s.often > 1 && `${s.often} × `}
                {s.blank}
              </strong>{" "}
              <span className="text-soft">
                {s.left} left over{s.bought && ", to be bought"}
              </span>
            </p>
            <svg
              viewBox={`0 0 ${s.length} ${s.width}`}
              className="block max-h-[420px] w-full border border-[#a59a8a] bg-white"
              role="img"
              aria-label={`${s.blank} with ${s.places.map((p) => `${p.piece} ${p.size}`).join(", ")}`}
            >
              {s.places.map((p) => (
                <g key={p.key}>
                  <rect
                    x={p.x}
                    y={p.y}
                    width={p.length}
                    height={p.width}
                    fill={tints[names.indexOf(p.piece) % tints.length]}
                    stroke="#231f1b"
                    strokeWidth={em / 12}
                  />
                  <text
                    x={p.x + p.length / 2}
                    y={p.y + p.width / 2 + (s.bar ? em * 0.35 : -em * 0.1)}
                    textAnchor="middle"
                    fontSize={em}
                  >
                    {p.piece}
                    {p.turned ? " ↻" : ""}
                    {s.bar && ` ${p.size}`}
                  </text>
                  {!s.bar && (
                    <text
                      x={p.x + p.length / 2}
                      y={p.y + p.width / 2 + em * 0.95}
                      textAnchor="middle"
                      fontSize={em * 0.85}
                      fill="#6b6258"
                    >
                      {p.size}
                    </text>
                  )}
                </g>
              ))}
            </svg>
            {s.cuts.length > 0 && (
              <p className="mt-1 text-sm text-soft">
                Cuts in order: {s.cuts.map((c, i) => `${i + 1}. ${c}`).join("; ")}; then the edges that are still open.
              </p>
            )}
          </li>
        );
      })}
    </ol>
  );
}
