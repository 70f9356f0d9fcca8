import Link from "@/ui/link";
import type { ReactNode } from "react";
import { projectPage } from "@/server/page";
import { longDate } from "@/ui/date";
import { JumpBox } from "@/ui/jump";
import { LiveRefresh } from "@/ui/live";
import { Mark } from "@/ui/mark";
import { SignOut } from "./sign-out";
import { Spine } from "./spine";

/** The frame of every project page: spine on the left, session line and jump box on top. */
export async function ProjectShell({ slug, children }: { slug: string; children: ReactNode }) {
  const { frame, staff, actor } = await projectPage(slug);
  const p = frame.project;
  const base = `/p/${slug}`;
  const below = [
    { label: "Today", href: "/" },
    { label: "Plan", href: `${base}/plan` },
    { label: "Notebook", href: `${base}/notebook` },
    ...(staff
      ? [
          { label: "People", href: `${base}/people` },
          { label: "Settings", href: `${base}/settings` },
          { label: "Audit", href: `${base}/audit` },
        ]
      : []),
  ];
  const pages = [
    { label: "Core log", href: base },
    ...frame.spine.map((s) => ({ label: s.name, href: `${base}/${s.key}` })),
    ...below,
    { label: "Questions for the client", href: `${base}/needs/questions` },
    { label: "Interviews and sources", href: `${base}/needs/sources` },
    { label: "Statements", href: `${base}/needs/statements` },
    { label: "Baseline and changes", href: `${base}/needs/changes` },
    { label: "Choosing concepts", href: `${base}/concepts/choose` },
    { label: "Parts and owners", href: `${base}/teams/parts` },
    ...(staff
      ? [{ label: "Forming teams", href: `${base}/teams/form` }]
      : [{ label: "My wishes", href: `${base}/teams/wishes` }]),
    { label: "Calendar", href: `${base}/plan/calendar` },
    { label: "Gates and tools", href: `${base}/plan/gates` },
    { label: "Entry challenge", href: `${base}/brief/challenge` },
  ];
  const position = p.finishedAt
    ? "Finished"
    : frame.held === 0
      ? `Begins ${longDate(frame.sessions[0]?.date ?? p.startsOn)}`
      : `Session ${frame.held} of ${frame.sessions.length}`;
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
        stages={frame.spine.map((s) => ({ ...s }))}
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
            <LiveRefresh url={`/api/live?project=${p.id}`} />
            <JumpBox url={`/api/jump?project=${slug}`} pages={pages} />
            <SignOut name={actor.name} />
          </div>
        </div>
        <main id="main" className="min-w-0 grow px-4 py-4 md:px-[22px]">
          {children}
        </main>
      </div>
    </div>
  );
}

/** The frame of pages outside a project. */
export function PlainShell({ name, children, admin }: { name: string; children: ReactNode; admin?: boolean }) {
  return (
    <div className="min-h-dvh">
      <div
        className={
          "no-print flex min-h-[46px] flex-wrap items-center justify-between gap-4 border-b border-line " +
          "bg-spine px-5 py-1.5"
        }
      >
        <Link href="/" className="flex items-center gap-2.5 text-[15px] font-[650] [font-stretch:112%]">
          <Mark />
          Ironstone
        </Link>
        <nav className="flex items-center gap-4 text-soft">
          {admin && (
            <Link href="/school" className="hover:text-ink">
              School
            </Link>
          )}
          <SignOut name={name} />
        </nav>
      </div>
      <main className="mx-auto max-w-[1100px] px-5 py-6">{children}</main>
    </div>
  );
}
