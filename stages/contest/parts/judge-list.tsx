import { instant } from "@/platform/pages/dates";
import { Fold } from "@/ui/fold";
import type { JudgedEvent } from "../queries/judged";
import { AsideSheet } from "./aside-sheet";

/** Every sheet as it was filled in, team by team; the instructor sets one aside, or lets it count again. */
export const JudgeList = ({ event, open }: { event: JudgedEvent; open: boolean }) => (
  <ul>
    {event.entries.map((n) => {
      const sheets = event.sheets.filter((s) => s.entryId === n.id);
      return (
        <li key={n.id} className="border-b border-line py-1.5 last:border-0">
          <Fold
            label={
              <>
                <strong>{n.team}</strong>{" "}
                <span className="text-soft">{sheets.filter((s) => s.state === "marked").length} sheets</span>
              </>
            }
          >
            <ul className="mt-1 ml-4 grid gap-1.5 text-sm">
              {sheets.length === 0 && <li className="text-soft">Nobody has marked this team yet.</li>}
              {sheets.map((s) => (
                <li key={s.id}>
                  <span className="font-[600]">{s.judge}</span>{" "}
                  {Object.keys(s.marks).length > 0
                    ? event.rules.criteria.map((c) => `${c.name} ${s.marks[c.key] ?? "–"}`).join(", ")
                    : "steps back"}
                  {s.note && <span className="text-soft">: {s.note}</span>}
                  <span className="block text-soft">
                    {instant(s.at)}
                    {s.state === "aside" && `, set aside: ${s.reason}`}
                  </span>
                  {open && (
                    <AsideSheet
                      id={s.id}
                      version={s.version}
                      aside={s.state !== "aside"}
                      of={`${s.judge}, ${n.team}`}
                    />
                  )}
                </li>
              ))}
            </ul>
          </Fold>
        </li>
      );
    })}
  </ul>
);
