import { notFound } from "next/navigation";
import { can } from "@/core/access/can";
import { PlainShell } from "@/frame/shell/parts/plain-shell";
import { requirePerson } from "@/platform/pages/page";
import { schoolActs } from "@/platform/project/acts";
import { LinkButton, PageHead } from "@/ui/page";
import { instructorsOf } from "../department";
import { RestoreForm } from "../parts/bundle-forms";
import { NameHead } from "../parts/heads";

/** Keeping the school: backup and restore. */
export async function SchoolScreen() {
  const actor = await requirePerson();
  if (!can(actor, schoolActs.keep, {})) notFound();
  const instructors = await instructorsOf();
  return (
    <PlainShell name={actor.name} admin>
      <PageHead title="School" note="For the person who keeps this installation.">
        <LinkButton href="/school/department">Department</LinkButton>
      </PageHead>
      <section className="mb-8">
        <h2>Backup</h2>
        <p className="my-1.5 max-w-[62ch] text-soft">
          Everything in one file, logins and guest links included. Keep it where only you can read it. The same from a
          terminal: ./ironstone backup FILE.zip
        </p>
        <LinkButton href="/school/backup" download>
          Download a backup
        </LinkButton>
      </section>
      <section className="mb-8" aria-labelledby="heads">
        <h2 id="heads">Heads of department</h2>
        <p className="my-1.5 max-w-[62ch] text-soft">
          They see the state of all projects, the machines' loads and results by edition; of students only how many they
          are. They open no project by it.
        </p>
        <ul className="max-w-[62ch]">
          {instructors.map((i) => (
            <li key={i.id} className="flex items-baseline gap-3 border-t border-line py-1">
              <span className={i.head ? "font-[650]" : undefined}>{i.name}</span>
              {i.head && <span className="text-soft">heads the department</span>}
              <NameHead personId={i.id} name={i.name} head={i.head} />
            </li>
          ))}
        </ul>
      </section>
      <section>
        <h2>Restore</h2>
        <p className="my-1.5 max-w-[62ch] text-soft">
          Replaces everything that is here by what a backup holds. Everybody is signed out. Download a backup first.
        </p>
        <RestoreForm />
      </section>
    </PlainShell>
  );
}
