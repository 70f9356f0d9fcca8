"use client";

import { unitIn } from "@/core/handbook/calculator";
import { outlineDxf, outlineSvg } from "@/core/handbook/outline";
import { readCorners } from "@/core/handbook/points";
import type { UnitSystem } from "@/core/vocabulary/project";
import { buttonClass } from "@/ui/page";
import { saveText } from "@/ui/save";

/** A part as files: for a printer at its true size, and for a cutter. */
export function ShapeFiles({ typed, units }: { typed: Readonly<Record<string, string>>; units: UnitSystem }) {
  const read = readCorners(typed.corners ?? "", unitIn("mm", units));
  if (!read.ok) return null;
  return (
    <p className="no-print flex flex-wrap items-baseline gap-3">
      <button
        type="button"
        className={buttonClass()}
        onClick={() => saveText(outlineSvg(read.corners), "image/svg+xml", "part.svg")}
      >
        SVG at true size
      </button>
      <button
        type="button"
        className={buttonClass()}
        onClick={() => saveText(outlineDxf(read.corners), "image/vnd.dxf", "part.dxf")}
      >
        DXF for a cutter
      </button>
      <span className="text-sm text-soft">Print the SVG at 100 %, never fitted to the page, and measure one side.</span>
    </p>
  );
}
