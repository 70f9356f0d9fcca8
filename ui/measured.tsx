/** What is measured, with its unit: as it heads a column. */
export function Measured({ name, unit }: { name: string; unit: string }) {
  return (
    <span>
      {name} {unit !== "1" && <span className="unit">{unit}</span>}
    </span>
  );
}
