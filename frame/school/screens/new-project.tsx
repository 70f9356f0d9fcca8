import { notFound } from "next/navigation";
import { can } from "@/core/access/can";
import { PlainShell } from "@/frame/shell/parts/plain-shell";
import { requirePerson } from "@/platform/pages/page";
import { projectActs } from "@/platform/project/acts";
import { PageHead } from "@/ui/page";
import { NewProjectForm } from "../parts/new-project-form";

export async function NewProjectScreen() {
  const actor = await requirePerson();
  if (!can(actor, projectActs.create, {})) notFound();
  return (
    <PlainShell name={actor.name} admin={actor.admin}>
      <div className="max-w-[760px]">
        <PageHead title="New project" note="Everything can be changed later." />
        <NewProjectForm />
      </div>
    </PlainShell>
  );
}
