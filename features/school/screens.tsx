import { notFound } from "next/navigation";
import { can } from "@/core/access/can";
import { PlainShell } from "@/features/shell/shell";
import { requirePerson } from "@/server/page";
import { LinkButton, PageHead } from "@/ui/page";
import { ImportForm, NewProjectForm, RestoreForm } from "./forms";

export async function NewProjectScreen() {
  const actor = await requirePerson();
  if (!can(actor, "project.create", {})) notFound();
  return (
    <PlainShell name={actor.name} admin={actor.admin}>
      <div className="max-w-[760px]">
        <PageHead title="New project" note="Everything can be changed later." />
        <NewProjectForm />
      </div>
    </PlainShell>
  );
}

export async function ImportScreen() {
  const actor = await requirePerson();
  if (!can(actor, "project.import", {})) notFound();
  return (
    <PlainShell name={actor.name} admin={actor.admin}>
      <PageHead
        title="Import a project"
        note="A bundle that was exported from Ironstone. All of it comes in, or nothing."
      />
      <ImportForm />
    </PlainShell>
  );
}

/** Keeping the school: backup and restore. */
export async function SchoolScreen() {
  const actor = await requirePerson();
  if (!can(actor, "school.keep", {})) notFound();
  return (
    <PlainShell name={actor.name} admin>
      <PageHead title="School" note="For the person who keeps this installation." />
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
