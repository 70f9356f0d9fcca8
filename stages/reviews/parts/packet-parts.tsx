import type { ReactNode } from "react";
import type { PacketPart } from "@/core/vocabulary/reviews";
import { fullDate, shortDate } from "@/platform/pages/dates";
import { VerdictMark } from "@/ui/verdict";
import type { Packet } from "../view/packet";

const None = ({ children }: { children: ReactNode }) => <p className="text-soft">{children}</p>;

function Asked({ packet }: { packet: Packet }) {
  if (!packet.asked.length) return <None>There is no must yet.</None>;
  return (
    <table className="table">
      <thead>
        <tr>
          <th>Must</th>
          <th>Limit</th>
          <th>This build</th>
          <th>Verdict</th>
        </tr>
      </thead>
      <tbody>
        {packet.asked.map((r) => (
          <tr key={r.id}>
            <td className="min-w-44">
              <span className="font-[600]">{r.code}</span> {r.statement}
            </td>
            <td className="whitespace-nowrap">{r.limit}</td>
            <td className="whitespace-nowrap">{r.shown}</td>
            <td>
              <VerdictMark verdict={r.verdict} word />
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function Changed({ packet }: { packet: Packet }) {
  if (!packet.changed.length) return <None>Nothing was built since the review before.</None>;
  return (
    <dl className="grid gap-2">
      {packet.changed.map((c) => (
        <div key={c.id} className="break-inside-avoid border-b border-line pb-2 last:border-0">
          <dt className="font-[650]">
            {c.name} <span className="font-normal text-soft">{`${c.stage}, ${fullDate(c.builtOn)}`}</span>
          </dt>
          <dd>
            {c.what || "no change is on record"}
            {c.why && <span className="block text-soft">why: {c.why}</span>}
            {c.expected && <span className="block text-soft">expected: {c.expected}</span>}
            {c.learned && <span className="block text-soft">learned: {c.learned}</span>}
          </dd>
        </div>
      ))}
    </dl>
  );
}

function Figures({ packet, units }: { packet: Packet; units: { mass: string; cost: string } }) {
  const { lines, channel, limits } = packet.figures;
  const held = (x: { shown: string | null; over: string | null }) => (
    <td className={`num ${x.over ? "font-[650] text-iron" : ""}`}>
      {x.shown ?? "–"}
      {x.over && <span className="block text-sm font-normal">{x.over}</span>}
    </td>
  );
  return (
    <>
      {limits.length > 0 && <p className="mb-1 text-soft">Limits: {limits.join(" · ")}</p>}
      {packet.benchmarks.length > 0 && (
        <p className="mb-1 text-soft">To compare with: {packet.benchmarks.join(" · ")}</p>
      )}
      <table className="table">
        <thead>
          <tr>
            <th>Build</th>
            <th>Stage</th>
            <th className="num">
              Mass <span className="unit">{units.mass}</span>
            </th>
            <th className="num">
              Cost <span className="unit">{units.cost}</span>
            </th>
            {channel && (
              <th className="num">
                {channel.name} <span className="unit">{channel.unit}</span>
              </th>
            )}
          </tr>
        </thead>
        <tbody>
          {lines.map((l) => (
            <tr key={l.build.id}>
              <td>G{l.build.number}</td>
              <td>{l.build.stage}</td>
              {held(l.mass)}
              {held(l.cost)}
              {channel && <td className="num">{l.reached === null ? "–" : l.reached.toFixed(2)}</td>}
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}

function Evidence({ packet }: { packet: Packet }) {
  if (!packet.evidence.length) return <None>Nothing was measured on this build yet.</None>;
  return (
    <ul>
      {packet.evidence.map((e) => (
        <li key={e.code} className="flex flex-wrap items-baseline gap-x-3 border-b border-line py-1 last:border-0">
          <span className="font-[600]">{e.code}</span>
          <span className="grow">
            {e.protocol}: {e.channel} <strong className="font-[650]">{e.value}</strong>{" "}
            <span className="text-soft">
              from {e.runs} run{e.runs === 1 ? "" : "s"}
            </span>
          </span>
          <VerdictMark verdict={e.verdict} word />
        </li>
      ))}
    </ul>
  );
}

function Wishes({ packet }: { packet: Packet }) {
  if (!packet.wishes.length) return <None>No wish was noted and made a requirement.</None>;
  return (
    <ul>
      {packet.wishes.map((w) => (
        <li
          key={`${w.requirementId} ${w.statement}`}
          className="break-inside-avoid border-b border-line py-1.5 last:border-0"
        >
          {w.words.slice(0, 2).map((x) => (
            <blockquote key={x.text} className="border-l-3 border-stone-3 pl-2">
              “{x.text}” <span className="text-sm text-soft">{x.source}</span>
            </blockquote>
          ))}
          {w.words.length === 0 && <p>{w.statement}</p>}
          <p className="flex flex-wrap items-baseline gap-x-2 text-soft">
            <span className="font-[600]">{w.code}</span> {w.words.length > 0 && w.statement}
            <VerdictMark verdict={w.verdict} word />
          </p>
        </li>
      ))}
    </ul>
  );
}

function Proposed({ packet }: { packet: Packet }) {
  const { proposed } = packet;
  if (!proposed) return <None>The team took up no concept.</None>;
  const pictures = (of: readonly { id: string; caption: string }[], title: string) =>
    of.length ? (
      of.map((f) => (
        <img
          key={f.id}
          src={`/api/file/${f.id}`}
          alt={f.caption || title}
          className="mb-2 w-full rounded-sm border border-line"
        />
      ))
    ) : (
      <p className="text-sm text-soft">no picture</p>
    );
  return (
    <>
      <table className="table break-inside-avoid">
        <thead>
          <tr>
            <th />
            <th>Proposed: {proposed.title}</th>
            <th>Built</th>
            <th className="num">Difference</th>
          </tr>
        </thead>
        <tbody>
          {proposed.rows.map((r) => (
            <tr key={r.name}>
              <td className="text-soft">{r.name}</td>
              <td>{r.proposed}</td>
              <td>{r.built}</td>
              <td className="num">{r.off}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {proposed.idea && <p className="my-1.5 text-soft">{proposed.idea}</p>}
      <div className="mt-2 grid break-inside-avoid grid-cols-2 gap-3">
        <div>{pictures(proposed.pictures.proposed, "proposed")}</div>
        <div>{pictures(proposed.pictures.built, "built")}</div>
      </div>
    </>
  );
}

function Failures({ packet }: { packet: Packet }) {
  if (!packet.failures.length) return <None>No failure is on record.</None>;
  return (
    <ul>
      {packet.failures.map((f) => (
        <li key={f.id} className="break-inside-avoid border-b border-line py-1 last:border-0">
          <span className="font-[600]">{f.build}</span> {f.what}
          {f.cause && <span className="text-soft"> · likely cause: {f.cause}</span>}
          {f.next && <span className="block text-soft">then: {f.next}</span>}
          <span className="block text-sm text-soft">
            {f.answered ? `answered by ${f.answered}` : "not answered by a build yet"}
          </span>
        </li>
      ))}
    </ul>
  );
}

const Risks = ({ packet }: { packet: Packet }) =>
  packet.risks.length ? (
    <ul className="list-disc pl-5">
      {packet.risks.map((r) => (
        <li key={r}>{r}</li>
      ))}
    </ul>
  ) : (
    <None>Every must is met, and every failure is answered.</None>
  );

const Actions = ({ packet }: { packet: Packet }) =>
  packet.actions.length ? (
    <ul>
      {packet.actions.map((a) => (
        <li key={a.id} className="border-b border-line py-1 last:border-0">
          {a.what} <span className="text-soft">({a.from})</span>
          <span className="block text-sm text-soft">
            {a.closed === null ? `open, due ${shortDate(a.dueOn)}` : `done: ${a.closed}`}
          </span>
        </li>
      ))}
    </ul>
  ) : (
    <None>Nothing was agreed yet.</None>
  );

/** How many things of a part the team left out, so that nobody takes the rest for all. */
export const LeftOut = ({ n }: { n: number }) =>
  n > 0 ? <p className="mt-1 text-sm text-soft">{n} more on record, left out by the team.</p> : null;

/** One part of a packet. */
export function PacketSection({
  part,
  packet,
  units,
}: {
  part: PacketPart;
  packet: Packet;
  units: { mass: string; cost: string };
}) {
  switch (part) {
    case "asked":
      return <Asked packet={packet} />;
    case "changed":
      return <Changed packet={packet} />;
    case "figures":
      return <Figures packet={packet} units={units} />;
    case "evidence":
      return <Evidence packet={packet} />;
    case "wishes":
      return <Wishes packet={packet} />;
    case "proposed":
      return <Proposed packet={packet} />;
    case "failures":
      return <Failures packet={packet} />;
    case "risks":
      return <Risks packet={packet} />;
    case "actions":
      return <Actions packet={packet} />;
  }
}
