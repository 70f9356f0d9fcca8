import { longDate } from "@/platform/pages/dates";
import type { Award } from "../view/awards";

/** A certificate for each award, a page each; members stand on it only where the instructor says so. */
export const Certificates = ({
  awards,
  contest,
  on,
  members,
}: {
  awards: readonly Award[];
  contest: string;
  on: string | null;
  /** Names by team; nothing where they are left out. */
  members: ReadonlyMap<string, readonly string[]>;
}) => (
  <>
    {awards.flatMap((a) =>
      a.teams.map((team) => (
        <section
          key={`${a.title} ${team}`}
          aria-label={`Certificate: ${a.title}, ${team}`}
          className={
            "mb-6 grid min-h-[420px] content-center justify-items-center gap-3 border-4 border-double border-stone-5 " +
            "bg-sheet p-10 text-center break-after-page last:break-after-auto print:min-h-[240mm]"
          }
        >
          <p className="text-soft">{contest}</p>
          <p className="text-[34px] leading-tight font-[680]">{a.title}</p>
          <p className="text-[44px] leading-tight font-[700] text-iron">{team}</p>
          {members.get(team)?.length ? <p>{members.get(team)!.join(", ")}</p> : null}
          {a.says && <p className="text-[18px]">{a.says}</p>}
          {a.kind === "favourite" && <p className="text-sm text-soft">by a vote on phones, one a device</p>}
          <p className="mt-8 flex w-full max-w-md justify-between gap-10 text-sm">
            <span>{on ? longDate(on) : ""}</span>
            <span className="min-w-48 border-t border-ink pt-1">Instructor</span>
          </p>
        </section>
      )),
    )}
  </>
);
