import { cx } from "@/ui/classes";
import type { FieldRules } from "../view/field";

/** How often each penalty was given in the attempt that is being scored, and why. */
export type Typed = Readonly<Record<string, { readonly count: number; readonly reason: string }>>;

const most = 99;
const none = { count: 0, reason: "" };

/** Counts what an attempt is charged, one press a time; a reason can be written beside it. */
export function Penalties({
  rules,
  typed,
  onChange,
  large,
}: {
  rules: FieldRules["penalties"];
  typed: Typed;
  onChange: (typed: Typed) => void;
  large?: boolean;
}) {
  if (!rules.length) return null;
  const size = large ? "min-h-11 min-w-11 text-[18px]" : "min-h-8 min-w-8";
  const key = cx("rounded-sm border border-[#a59a8a] bg-sheet font-[650] disabled:opacity-55", size);
  return (
    <ul className="grid gap-1.5" aria-label="Penalties">
      {rules.map((r) => {
        const now = typed[r.key] ?? none;
        const put = (to: Partial<typeof now>) => onChange({ ...typed, [r.key]: { ...now, ...to } });
        return (
          <li key={r.key} className="grid grid-cols-[auto_auto_auto_minmax(0,1fr)] items-center gap-2 text-sm">
            <button
              type="button"
              className={key}
              aria-label={`One ${r.name} less`}
              disabled={now.count === 0}
              onClick={() => put({ count: now.count - 1 })}
            >
              −
            </button>
            <output aria-label={`${r.name}, times`} className="min-w-6 text-center text-[15px] font-[600]">
              {now.count}
            </output>
            <button
              type="button"
              className={key}
              aria-label={`One ${r.name} more`}
              disabled={now.count === most}
              onClick={() => put({ count: now.count + 1 })}
            >
              +
            </button>
            <span>
              {r.name} <span className="text-soft">{r.charge} each</span>
            </span>
            {now.count > 0 && (
              <input
                className="input col-span-full w-full max-w-80"
                maxLength={200}
                aria-label={`What was seen: ${r.name}`}
                placeholder="what was seen"
                value={now.reason}
                onChange={(e) => put({ reason: e.target.value })}
              />
            )}
          </li>
        );
      })}
    </ul>
  );
}
