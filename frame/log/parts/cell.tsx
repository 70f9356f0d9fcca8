import type { coreLog } from "@/core/log/corelog";
import type { Channel } from "@/core/run/protocol";
import { showIn, unitAfter } from "@/core/run/reading";
import { cx } from "@/ui/classes";
import Link from "@/ui/link";
import { ramp } from "./ramp";

export function Fact({ label, children }: { label: string; children: React.ReactNode }) {
  return (
    <div className="flex flex-col-reverse">
      <dt className="text-sm text-soft">{label}</dt>
      <dd>{children}</dd>
    </div>
  );
}

type CellData = ReturnType<typeof coreLog> extends Map<string, (infer C)[]> ? C : never;

export function Cell({
  c,
  shade,
  href,
  channel,
  today,
  first,
  text,
  mode,
  team,
}: {
  c: CellData;
  shade: number;
  href: string;
  /** What the best is a value of. */
  channel: Channel | null;
  today: boolean;
  first: boolean;
  text: string | null;
  mode: string;
  team: string;
}) {
  const best = c.best === null ? "" : showIn(channel ?? {}, c.best, 1);
  const words = [
    c.builds.length && `builds ${c.builds.join(", ")}`,
    c.runs && `${c.runs} runs`,
    c.best !== null && `best ${unitAfter(best, channel?.unit ?? "")}`,
    c.reviews && "review",
    c.checks.join(", "),
    c.gap && "no record",
  ]
    .filter(Boolean)
    .join("; ");
  const said = `${team}, week ${c.week}: ${words || "nothing recorded"}`;
  if (c.state === "future")
    return (
      <div className="flex h-[51px]">
        <span className="w-[25px] border-x border-dashed border-[#e4dccf]" />
      </div>
    );
  return (
    <Link href={href} data-tip="" className="group relative flex h-[51px]">
      <span className="sr-only">{said}</span>
      <span
        className={cx(
          "relative w-[25px] shrink-0 border-x border-[#b9a282]",
          first && "rounded-t-sm border-t",
          c.gap && "rock-gap",
        )}
        style={c.gap ? undefined : { background: ramp(shade) }}
      >
        {c.builds.length > 0 && <span className="absolute -inset-x-[5px] top-[7px] h-[3px] bg-ink" />}
        {c.runs > 0 && (
          <span className="absolute inset-x-[3px] bottom-[4px] flex flex-wrap justify-center gap-[2.5px]">
            {Array.from({ length: Math.min(8, c.runs) }, (_, i) => (
              <i key={i} className="size-[2.6px] rounded-full bg-white" />
            ))}
          </span>
        )}
        {c.reviews > 0 && (
          <span
            className={
              "absolute -right-[7px] bottom-[9px] border-y-4 border-r-6 border-y-transparent " + "border-r-slate"
            }
          />
        )}
        {today && <span className="absolute -inset-x-[5px] bottom-0 border-b-2 border-iron" />}
      </span>
      <span className="ml-2.5 min-w-0 pt-1 text-sm leading-[1.3]">
        {c.builds.length > 0 && <span className="block font-[650] group-hover:text-iron">{c.builds.join(" ")}</span>}
        {mode === "mass"
          ? text && <span className="block">{text}</span>
          : c.best !== null && (
              <span className="block group-hover:text-iron">
                {best}
                {channel && channel.unit !== "1" && <span className="unit text-[11px]">{channel.unit}</span>}
              </span>
            )}
        {c.best === null && c.checks.length > 0 && mode === "best" && (
          <span className="block truncate text-xs text-soft">{c.checks[0]}</span>
        )}
        {c.gap && <span className="block text-xs text-iron">no record</span>}
      </span>
    </Link>
  );
}
