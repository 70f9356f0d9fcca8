import { attendanceOf } from "@/core/log/attendance";
import { shortDate } from "@/platform/pages/dates";
import { projectPage } from "@/platform/pages/page";
import Link from "@/ui/link";
import { Empty, LinkButton, PageHead } from "@/ui/page";
import { DataTable } from "@/ui/table";
import { classActs } from "../acts";
import { attendanceIn } from "../queries/classes";

const of = (n: number) => (n ? n : { value: 0, show: "" });

/** How often each student was in class, of the classes in which attendance was taken. */
export async function AttendanceScreen({ slug }: { slug: string }) {
  const { frame } = await projectPage(slug, classActs.keep);
  const rows = await attendanceIn(frame.project.id);
  const lines = rows.map((r) => ({ ...r, a: attendanceOf(r.taken, r.marks) }));
  const taken = lines.some((l) => l.a.taken > 0);
  return (
    <>
      <PageHead
        title="Attendance"
        note="By exception: who has no mark was in class from beginning to end. It stays in the school."
      >
        <LinkButton href={`/p/${slug}/class`}>To the class</LinkButton>
      </PageHead>
      {!taken ? (
        <Empty title="Not taken yet">
          On the page of a class, under “In class”, it is one press where all are here.
        </Empty>
      ) : (
        <DataTable
          caption="Attendance by student"
          columns={[
            { key: "name", text: "Student" },
            { key: "section", text: "Section" },
            { key: "taken", text: "Classes", num: true },
            { key: "whole", text: "Here all the time", num: true },
            { key: "late", text: "Late", num: true },
            { key: "left", text: "Left early", num: true },
            { key: "minutes", text: "Minutes missed", num: true },
            { key: "absent", text: "Absent", num: true },
            { key: "excused", text: "Excused", num: true },
            { key: "share", text: "Attended, %", num: true },
            { key: "last", text: "Last mark" },
          ]}
          rows={lines.map(({ id, name, section, a, marks }) => {
            const last = marks.at(-1);
            return {
              id,
              cells: {
                name: {
                  value: name,
                  show: (
                    <Link href={`/p/${slug}/people/${id}`} className="hover:text-iron">
                      {name}
                    </Link>
                  ),
                },
                section,
                taken: a.taken,
                whole: a.whole,
                late: of(a.late),
                left: of(a.leftEarly),
                minutes: of(a.minutes),
                absent: of(a.absent),
                excused: of(a.excused),
                share: a.share === null ? null : Math.round(a.share * 100),
                last: { value: last?.date ?? null, show: last ? `${last.state}, ${shortDate(last.date)}` : "" },
              },
            };
          })}
        />
      )}
    </>
  );
}
