import type { planOf } from "../view/guide";

/** Where the steps put things, seen from above: each mark has its steps' numbers. */
export function GuidePlan({ plan, datum }: { plan: NonNullable<ReturnType<typeof planOf>>; datum: string }) {
  const { width, height, marks } = plan;
  return (
    <figure className="max-w-sm">
      <svg viewBox={`0 0 ${width} ${height}`} role="img" className="w-full border border-line bg-paper">
        <title>{`From above: ${marks.map((m) => `step ${m.numbers.join(" and ")}`).join(", ")}`}</title>
        {plan.datum && (
          <path
            d={`M${plan.datum.x - 3} ${plan.datum.y}h6m-3 -3v6`}
            className="fill-none stroke-iron"
            strokeWidth={0.5}
          />
        )}
        {marks.map((m) => (
          <g key={m.numbers.join()} className="fill-ink">
            <circle cx={m.x} cy={m.y} r={1.3} />
            <text x={m.x + 2.2} y={m.y + 1.3} fontSize={3.8}>
              {m.numbers.join(", ")}
            </text>
          </g>
        ))}
      </svg>
      <figcaption className="text-sm text-soft">
        From above, x to the right and y away from you{datum && `; measured from ${datum}`}
        {plan.datum && " (the cross)"}
      </figcaption>
    </figure>
  );
}
