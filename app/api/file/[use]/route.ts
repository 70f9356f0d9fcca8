import { isId } from "@/platform/db/id";
import { fileActs } from "@/platform/files/acts";
import { fileUse, readContent } from "@/platform/files/files";
import { allowed, refused } from "@/platform/pages/route";
import { conceptActs } from "@/stages/concepts/acts";
import { notebookActs } from "@/stages/notebook/acts";
import { guideReaders } from "@/stages/records/queries/kept";

/** Whether a class of a later edition may see it: its build guide shows it. */
async function inGuide(use: string): Promise<boolean> {
  for (const project of await guideReaders(use)) if (await allowed(fileActs.read, project)) return true;
  return false;
}

/** A picture, to those who may read its project. */
export async function GET(_: Request, { params }: { params: Promise<{ use: string }> }): Promise<Response> {
  const { use } = await params;
  const found = isId(use) ? await fileUse(use) : null;
  // A hidden concept's sketch is its author's and the instructors' alone, and so is what stands in a notebook.
  const file =
    found &&
    (await (found.notebook !== null
      ? allowed(notebookActs.read, found.projectId, { person: found.notebook })
      : found.only === null
        ? (await allowed(fileActs.read, found.projectId)) || inGuide(use)
        : allowed(conceptActs.edit, found.projectId, { person: found.only })))
      ? await readContent(found.hash)
      : null;
  if (!file) return refused();
  return new Response(new Uint8Array(file.content), {
    headers: {
      "content-type": file.mime,
      "cache-control": "private, max-age=31536000, immutable",
    },
  });
}
