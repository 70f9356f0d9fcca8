import { fileUse, readContent } from "@/data/files";
import { isId } from "@/data/id";
import { allowed, refused } from "@/server/route";

/** A picture, to those who may read its project. */
export async function GET(_: Request, { params }: { params: Promise<{ use: string }> }): Promise<Response> {
  const { use } = await params;
  const found = isId(use) ? await fileUse(use) : null;
  // A hidden concept's sketch is its author's and the instructors' alone.
  const file =
    found &&
    (await (found.only === null
      ? allowed("file.read", found.projectId)
      : allowed("concept.edit", found.projectId, { person: found.only })))
      ? await readContent(found.hash)
      : null;
  if (!file) return refused();
  return new Response(new Uint8Array(file.content), {
    headers: {
      "content-type": file.mime,
      "cache-control": "private, max-age=31536000, immutable",
      "content-security-policy": "default-src 'none'",
    },
  });
}
