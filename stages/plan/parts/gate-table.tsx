import { instant } from "@/platform/pages/dates";
import { Fold } from "@/ui/fold";
import { DataTable } from "@/ui/table";
import { VerdictMark } from "@/ui/verdict";
import type { Gate } from "../queries/gates";
import type { GateCell, GateLine } from "../view/gates";
import { RemoveItem } from "./buttons";
import { SignGate, SignGates } from "./sign-gate";
import { Tick } from "./tick";

/** A gate's checklist: a line a team, a column an item, and the signature. */
export function GateTable({ gate, lines, staff }: { gate: Gate; lines: readonly GateLine[]; staff: boolean }) {
  return (
    <DataTable
      caption={gate.title}
      columns={[
        { key: "team", text: "Team", className: "font-[600]" },
        ...gate.items.map((i) => ({ key: i.id, text: i.label, className: "min-w-36 whitespace-normal" })),
        { key: "signature", text: "Signature", className: "min-w-32" },
      ]}
      rows={lines.map((l) => ({
        id: l.id,
        cells: {
          team: l.name,
          ...Object.fromEntries(l.cells.map((c) => [c.item, { value: c.note, show: <Item cell={c} /> }])),
          signature: {
            value: l.signed ? `signed, ${l.signed.by}` : "not signed yet",
            show: <Signature gate={gate.id} line={l} staff={staff} />,
          },
        },
      }))}
      tools={
        staff && (
          <>
            <SignGates
              milestoneId={gate.id}
              open={lines.filter((l) => !l.signed).map((l) => ({ id: l.id, name: l.name, missing: l.missing }))}
            />
            <Fold labelClass="text-soft" label="take an item out">
              <ul>
                {gate.items.map((i) => (
                  <li key={i.id}>
                    {i.label} <RemoveItem id={i.id} />
                  </li>
                ))}
              </ul>
            </Fold>
          </>
        )
      }
    />
  );
}

function Item({ cell: c }: { cell: GateCell }) {
  return (
    <>
      <span className="flex items-baseline gap-1.5">
        <VerdictMark verdict={c.met ? "met" : "not met"} />
        <span className="text-sm">{c.note}</span>
      </span>
      {c.team && <Tick itemId={c.item} {...c.team} />}
      {c.own && <Tick itemId={c.item} {...c.own} />}
      {c.each.length > 0 && (
        <Fold className="no-print text-sm text-soft" label="who">
          {c.each.map((x) => (
            <span key={x.personId} className="block">
              <Tick itemId={c.item} {...x} />
            </span>
          ))}
        </Fold>
      )}
    </>
  );
}

function Signature({ gate, line: l, staff }: { gate: string; line: GateLine; staff: boolean }) {
  return (
    <>
      {l.signed && (
        <span className="block">
          <strong className="font-[650] text-moss">signed</strong>{" "}
          <span className="text-sm text-soft">
            {l.signed.by}, {instant(l.signed.at)}
          </span>
          {l.signed.missing && <span className="block text-sm text-ochre-deep">although {l.signed.missing}</span>}
        </span>
      )}
      {staff ? (
        <SignGate milestoneId={gate} teamId={l.id} signed={!!l.signed} missing={l.missing} />
      ) : (
        !l.signed && <span className="text-soft">not signed yet</span>
      )}
    </>
  );
}
