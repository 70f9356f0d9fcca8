"use client";

import type { CSSProperties } from "react";
import { cx } from "@/ui/classes";
import type { BoardFace, BoardState } from "../../view/board-face";
import { BracketChart } from "../bracket-chart";
import { VoteAddress } from "../vote-address";

type Face<K extends BoardFace["kind"]> = Extract<BoardFace, { kind: K }>;

/** The rows share the height that there is: eight teams fill a projector, thirty still stand on it. */
const heightOf = (rows: number) => ({ "--row": `calc((100dvh - 16vw) / ${Math.max(4, rows)})` }) as CSSProperties;
const grid =
  "mt-[1.2vw] w-full border-collapse text-[clamp(15px,min(calc(var(--row)*0.5),3.4vw),72px)] leading-[1.05] " +
  "[&_tbody_tr]:h-[var(--row)] [&_tr]:border-b [&_tr]:border-[var(--board-line)] [&_th]:font-normal";
const heads = "soft text-left text-[clamp(12px,1.1vw,26px)]";

const Attempts = ({ face }: { face: Face<"attempts"> }) => (
  <table style={heightOf(face.rows.length)} className={grid}>
    <thead>
      <tr className={heads}>
        <th className="w-[4.5em] py-[0.3vw]">Place</th>
        <th>Team</th>
        <th>Attempts</th>
        <th className="text-right">{face.counts}</th>
        {face.points && <th className="pl-[3vw] text-right">points</th>}
      </tr>
    </thead>
    <tbody>
      {face.rows.map((r) => (
        <tr key={r.id}>
          <td className="accent text-[1.12em] font-[650]">{r.place}</td>
          <td className={cx("font-[550] wrap-break-word", r.on && "accent")}>{r.name}</td>
          <td className="soft text-[0.8em]">
            {r.attempts.map((a, i) => (
              <span key={i}>
                {i > 0 && " · "}
                <span className={cx(r.counted.includes(i) && "text-[var(--board-ink)]")}>{a}</span>
              </span>
            ))}
          </td>
          <td className="text-right font-[650]">
            {r.shown}
            <span className="soft ml-[0.25em] text-[0.62em] font-normal">{face.unit}</span>
          </td>
          {face.points && <td className="pl-[3vw] text-right">{r.points}</td>}
        </tr>
      ))}
    </tbody>
  </table>
);

const Table = ({ face }: { face: Face<"table"> }) => (
  <table style={heightOf(face.rows.length)} className={grid}>
    <thead>
      <tr className={heads}>
        {face.heads.map((h, i) => (
          <th key={h} className={cx("py-[0.3vw]", i > 1 && "pl-[1.5vw] text-right")}>
            {h}
          </th>
        ))}
      </tr>
    </thead>
    <tbody>
      {face.rows.map((r) => (
        <tr key={r.id}>
          {r.cells.map((c, i) => (
            <td
              key={i}
              className={cx(
                i === 0 && "accent font-[650]",
                i === 1 && cx("font-[550] wrap-break-word", r.on && "accent"),
                i > 1 && "pl-[1.5vw] text-right",
                i === r.cells.length - 1 && "font-[650]",
              )}
            >
              {c}
            </td>
          ))}
        </tr>
      ))}
    </tbody>
  </table>
);

const Order = ({ face }: { face: Face<"order"> }) => (
  <ol className="my-auto grid gap-[1.6vw]">
    {face.on.map((o, i) => (
      <li key={o.who} className="flex items-baseline gap-[2vw]">
        <span className="soft w-[9em] shrink-0 text-[clamp(14px,1.6vw,36px)]">{o.when}</span>
        <span
          className={cx(
            "font-[620] wrap-break-word",
            i === 0 ? "accent text-[clamp(30px,7vw,150px)]" : "text-[clamp(22px,4vw,90px)]",
          )}
        >
          {o.who}
        </span>
      </li>
    ))}
  </ol>
);

/** The award that was revealed last stands large, those before it below. */
const Awards = ({ face }: { face: Face<"awards"> }) => {
  const last = face.awards.at(-1);
  if (!last) return <p className="m-auto text-[clamp(28px,5vw,110px)] font-[620]">Awards</p>;
  return (
    <div className="my-auto grid gap-[2.5vw]">
      <section aria-live="polite">
        <p className="soft text-[clamp(18px,2.6vw,60px)]">{last.title}</p>
        <p className="accent text-[clamp(36px,8vw,180px)] leading-[1.05] font-[680] wrap-break-word">{last.teams}</p>
        <p className="text-[clamp(18px,2.6vw,60px)]">{last.says}</p>
      </section>
      {face.besides.map((b) => (
        <p key={b} className="text-[clamp(16px,2vw,44px)]">
          {b}
        </p>
      ))}
      {face.awards.length > 1 && (
        <ul className="flex flex-wrap gap-x-[3vw] gap-y-[0.6vw] text-[clamp(14px,1.5vw,34px)]">
          {face.awards.slice(0, -1).map((a) => (
            <li key={a.title}>
              <span className="soft">{a.title}</span> {a.teams}
            </li>
          ))}
        </ul>
      )}
    </div>
  );
};

/** What a board shows. */
export function Face({ state }: { state: BoardState }) {
  const { face } = state;
  switch (face.kind) {
    case "attempts":
      return <Attempts face={face} />;
    case "table":
      return <Table face={face} />;
    case "bracket":
      return (
        <BracketChart
          dark={!state.light}
          drawing={face.drawing}
          label={`Bracket of ${face.name}`}
          className="mt-[1vw] max-h-[78dvh] w-full"
        />
      );
    case "order":
      return <Order face={face} />;
    case "awards":
      return <Awards face={face} />;
    case "vote":
      return (
        <div className="my-auto grid gap-[2vw] text-[clamp(20px,3.4vw,80px)]">
          <VoteAddress code={face.code} className="w-[min(26vw,52dvh)]" />
          <p className="soft text-[clamp(18px,2.4vw,56px)]">
            {face.votes} {face.votes === 1 ? "vote" : "votes"} so far
          </p>
        </div>
      );
    case "pause":
      return <p className="m-auto text-center text-[clamp(30px,6vw,140px)] font-[620]">{face.words}</p>;
    case "empty":
      return null;
  }
}
