import "server-only";
import { refuse } from "@/platform/command/command";
import { withdrawal } from "@/platform/withdraw/withdrawal";
import { protocolActs, runActs } from "./acts";
import { ofRun, ofSeries } from "./commands/subjects";

export const withdrawProtocol = withdrawal({
  name: "withdrawProtocol",
  kind: "protocol",
  table: "protocol",
  act: protocolActs.edit,
  label: "x.name",
  held: {
    run: "Runs were made under this protocol, so it stays. Set the runs aside if they do not count.",
    event: "An event of the contest is measured by this protocol, so it stays.",
  },
});

export const withdrawSeries = withdrawal({
  name: "withdrawSeries",
  kind: "series",
  table: "series",
  act: runActs.record,
  subject: ofSeries,
  label:
    "(SELECT t.name || ' G' || b.number FROM build b JOIN team t ON t.id = b.team_id WHERE b.id = x.build_id) " +
    "|| ', ' || x.key",
  async refuse(sql, id) {
    const [run] = await sql<{ attempt: number }[]>`
      SELECT attempt FROM run WHERE id = (SELECT run_id FROM series WHERE id = ${id}) AND state <> 'void'
    `;
    if (run) refuse(`Attempt ${run.attempt} was taken from this series: set the attempt aside first.`);
  },
});

export const withdrawSafetyCheck = withdrawal({
  name: "withdrawSafetyCheck",
  kind: "safety check",
  table: "safety_check",
  act: runActs.void,
  label: "(SELECT t.name FROM team t WHERE t.id = x.team_id) || ', ' || x.on_date",
});

export const removeRunPhoto = withdrawal({
  name: "removeRunPhoto",
  kind: "photo of a run",
  table: "file_use",
  act: runActs.record,
  async subject(sql, id) {
    const [u] = await sql<{ runId: string | null }[]>`SELECT run_id FROM file_use WHERE id = ${id}`;
    return u?.runId ? ofRun(sql, u.runId) : null;
  },
  label:
    "'attempt ' || (SELECT attempt FROM run WHERE id = x.run_id) " +
    "|| CASE x.caption WHEN '' THEN '' ELSE ': ' || x.caption END",
});
