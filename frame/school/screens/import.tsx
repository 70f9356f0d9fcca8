import { notFound } from "next/navigation";
import { can } from "@/core/access/can";
import { PlainShell } from "@/frame/shell/parts/plain-shell";
import { requirePerson } from "@/platform/pages/page";
import { projectActs } from "@/platform/project/acts";
import { PageHead } from "@/ui/page";
import { ImportForm } from "../parts/bundle-forms";

export async function ImportScreen() {
  const actor = await requirePerson();
  if (!can(actor, projectActs.import, {})) notFound();
  return (
    <PlainShell name={actor.name} admin={actor.admin} head={actor.head}>
      <PageHead
        title="Import a project"
        note="A bundle that was exported from Ironstone. All of it comes in, or nothing."
      />
      <ImportForm />
    </PlainShell>
  );
}
