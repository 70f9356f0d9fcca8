import { fullDate } from "@/platform/pages/dates";
import { projectPage } from "@/platform/pages/page";
import { plural } from "@/platform/registry/words";
import { teamsOf } from "@/stages/teams/queries/teams";
import { Empty, PageHead } from "@/ui/page";
import { PrintButton } from "@/ui/print-button";
import { DataTable } from "@/ui/table";
import { recordActs } from "../acts";
import { EditHonour, GiveHonours, NewHonour } from "../parts/honour-forms";
import { RecordsTabs } from "../parts/records-tabs";
import { honoursOf, unconfirmedEvents } from "../queries/honours";
import { editionLine } from "../queries/records";
import { letters } from "../view/honours";

/** Awards as they were given, edition by edition, and what the engraver cuts into the trophy. */
export async function HonoursScreen({ slug }: { slug: string }) {
  const { frame, may } = await projectPage(slug);
  const p = frame.project;
  const [line, teams, open] = await Promise.all([editionLine(p.id), teamsOf(p.id), unconfirmedEvents(p.id)]);
  const honours = await honoursOf(line);
  const gives = may(recordActs.honour);
  const options = teams.map((t) => ({ value: t.id as string, label: t.name }));
  return (
    <>
      <PageHead title="Honours" note="Awards as they were given, and what stands on the trophy: one line each.">
        <PrintButton />
        {gives && open.length === 0 && <GiveHonours projectId={p.id} />}
      </PageHead>
      <RecordsTabs slug={slug} />
      {gives && open.length > 0 && (
        <p className="mb-3 text-soft">
          The contest's awards can be given when {open.join(", ")} {open.length === 1 ? "is" : "are"} confirmed.
        </p>
      )}
      {honours.length === 0 ? (
        <Empty title="No award is given yet">
          After the contest its awards are written down here with one press, beside those of the class's own.
        </Empty>
      ) : (
        <DataTable
          caption="Engraving list"
          columns={[
            { key: "edition", text: "Edition" },
            { key: "title", text: "Award" },
            { key: "team", text: "Team" },
            { key: "engraved", text: "On the trophy" },
            { key: "letters", text: "Letters", num: true },
            { key: "on", text: "Given", className: "whitespace-nowrap" },
            ...(gives ? [{ key: "edit", text: "" }] : []),
          ]}
          rows={honours.map((h) => ({
            id: h.id,
            cells: {
              edition: h.edition,
              title: {
                value: h.title,
                show: (
                  <>
                    <span className="font-[600]">{h.title}</span>
                    {h.says && <span className="block text-sm text-soft">{h.says}</span>}
                  </>
                ),
              },
              team: {
                value: h.team,
                show: (
                  <>
                    {h.team}
                    {gives && h.members.length > 0 && (
                      <span className="block text-sm text-soft">{h.members.join(", ")}</span>
                    )}
                  </>
                ),
              },
              engraved: h.engraved,
              letters: letters(h.engraved),
              on: { value: h.givenOn, show: fullDate(h.givenOn) },
              edit: {
                value: "",
                show: gives && h.projectId === p.id && <EditHonour honour={h} teams={options} />,
              },
            },
          }))}
        />
      )}
      {honours.length > 0 && (
        <p className="mt-2 text-soft">
          {plural(honours.length, "line")}, {honours.reduce((n, h) => n + letters(h.engraved), 0)} letters to cut. Copy
          the table for the engraver; names of students stand in it for instructors only.
        </p>
      )}
      {gives && options.length > 0 && (
        <div className="mt-4">
          <NewHonour projectId={p.id} teams={options} today={frame.today} />
        </div>
      )}
    </>
  );
}
