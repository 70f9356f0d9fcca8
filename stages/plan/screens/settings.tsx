import { projectPage } from "@/platform/pages/page";
import { projectActs } from "@/platform/project/acts";
import { settingsOf } from "@/platform/project/settings";
import { LinkButton, PageHead } from "@/ui/page";
import { ProjectForm } from "../parts/project-form";
import { SchoolsForm } from "../parts/schools-form";

export async function SettingsScreen({ slug }: { slug: string }) {
  const { frame } = await projectPage(slug, projectActs.edit);
  const p = frame.project;
  const settings = await settingsOf(p.id);
  return (
    <>
      <PageHead title="Settings" note="What the project is, when it runs, its schools, and taking it with you." />
      <ProjectForm
        projectId={p.id}
        version={p.version}
        values={{
          title: p.title,
          purpose: p.purpose,
          kind: p.kind,
          client: p.client,
          startsOn: p.startsOn,
          endsOn: p.endsOn,
          eventOn: p.eventOn ?? "",
          currency: p.currency,
        }}
      />
      <section className="mt-8 max-w-[700px] border-t border-line pt-4">
        <h2 className="mb-2">Schools</h2>
        <SchoolsForm
          projectId={p.id}
          values={{
            conceptSchool: settings.conceptSchool,
            teamSchool: settings.teamSchool,
            teamMin: settings.teamMin,
            teamMax: settings.teamMax,
            gateStrictness: settings.gateStrictness,
            shareSchool: settings.shareSchool,
            units: settings.units,
            dates: settings.dates,
            donated: settings.donated,
            countersign: settings.countersign,
            individualMin: settings.individualMin,
          }}
        />
      </section>
      <section className="mt-8 max-w-[700px] border-t border-line pt-4">
        <h2>Out</h2>
        <p className="my-1.5 text-soft">
          The bundle holds the whole project as open files: one JSON a table, and the photos. It imports again
          unchanged, here or in another school. It holds students' names; logins and guest links stay behind.
        </p>
        <div className="flex flex-wrap gap-2">
          <LinkButton href={`/p/${slug}/bundle`} download>
            Export the project
          </LinkButton>
          {["requirements", "register", "runs", "standings", "gradebook"].map((k) => (
            <LinkButton key={k} href={`/p/${slug}/csv/${k}`} download look="quiet">
              {k} CSV
            </LinkButton>
          ))}
        </div>
        <p className="mt-4 mb-1.5 text-soft">
          A template is one open file (JSON): brief, requirements, protocols, rubrics, tools, plan in class sessions,
          events and grading. It holds no student, no build and no result: hand it on, or begin another project with it.
        </p>
        <LinkButton href={`/p/${slug}/template`} download>
          Save as a template
        </LinkButton>
      </section>
    </>
  );
}
