import type { ReactNode } from "react";
import { longDate } from "@/platform/pages/dates";
import { projectPage } from "@/platform/pages/page";
import type { Viewer } from "@/platform/registry/stage";
import { stages } from "@/stages/index";
import { Dates } from "@/ui/dates";
import { JumpBox } from "@/ui/jump";
import { LiveRefresh } from "@/ui/live";
import { Mark } from "@/ui/mark";
import { spineOf } from "../spine";
import { SignOut } from "./sign-out";
import { Spine } from "./spine";

/** The frame of every project page: spine on the left, session line and jump box on top. */
export async function ProjectShell({ slug, children }: { slug: string; children: ReactNode }) {
  const { frame, staff, actor } = await projectPage(slug);
  const p = frame.project;
  const base = `/p/${slug}`;
  const spine = await spineOf(frame);
  const sees = (who?: Viewer) => who === undefined || who === "everyone" || (who === "staff") === staff;
  const own = stages.filter((x) => x.below && sees(x.below)).map((x) => ({ label: x.name, href: `${base}/${x.key}` }));
  const below = [
    { label: "Today", href: "/" },
    ...own,
    ...(staff
      ? [
          { label: "Settings", href: `${base}/settings` },
          { label: "Audit", href: `${base}/audit` },
        ]
      : []),
  ];
  // The core log shows what teams do from week to week; settings and the audit show everything.
  const shows = {
    "": ["build", "run", "review", "milestone", "team", "finding", "evidence", "needs", "protocol", "action"],
    ...Object.fromEntries(stages.map((x) => [x.key, x.shows])),
  };
  const pages = [
    { label: "Core log", href: base },
    { label: "Search all texts", href: `${base}/search` },
    ...stages.flatMap((x) => x.pages.filter((y) => sees(y.for)).map((y) => ({ label: y.label, href: base + y.path }))),
    ...below.filter((x) => !own.includes(x)),
  ];
  const position = p.finishedAt
    ? "Finished: a record that takes no changes"
    : frame.held === 0
      ? `Begins ${longDate(frame.sessions[0]?.date ?? p.startsOn)}`
      : (frame.sections.length > 1 && frame.counted ? `Section ${frame.counted}: session ` : "Session ") +
        `${frame.held} of ${frame.sessions.length}`;
  return (
    <div className="frame min-h-dvh md:grid md:grid-cols-[212px_minmax(0,1fr)]">
      <a href="#main" className="sr-only focus:not-sr-only focus:absolute focus:z-50 focus:bg-sheet focus:p-2">
        To the page
      </a>
      <Spine
        base={base}
        title={p.title}
        note={
          `${frame.sections.length === 1 ? "Section" : "Sections"} ` +
          `${frame.sections.map((s) => s.name).join(" and ")} · ${frame.students} students`
        }
        stages={spine}
        below={below}
        at={frame.sessions.length ? frame.held / frame.sessions.length : 0}
        brand={<Mark />}
      />
      <div className="flex min-w-0 flex-col">
        <div
          className={
            "no-print flex min-h-[46px] flex-wrap items-center justify-between gap-x-4 gap-y-1 border-b " +
            "border-line px-4 py-1.5 md:px-[22px]"
          }
        >
          <p className="text-soft">
            {position} · {longDate(frame.today)}
          </p>
          <div className="flex items-center gap-3">
            <LiveRefresh url={`/api/live?project=${p.id}`} since={p.notices} shows={shows} base={base} />
            <JumpBox url={`/api/jump?project=${slug}`} texts={`${base}/search`} pages={pages} />
            <SignOut name={actor.name} />
          </div>
        </div>
        <main id="main" className="min-w-0 grow px-4 py-4 md:px-[22px]">
          <Dates style={p.dates ?? "day"}>{children}</Dates>
        </main>
      </div>
    </div>
  );
}
