import { fileUse, readContent } from "@/data/files";
import { isId } from "@/data/id";
import { allowed, refused } from "@/server/route";

/** A picture, to those who may read its project. */
export async function GET(_: Request, { params }: { params: Promise<{ use: string }> }): Promise<Response> {
  const { use } = await params;
  const found = isId(use) ? await fileUse(use) : null;
  const file = found && (await allowed("file.read", found.projectId)) ? await readContent(found.hash) : null;
  if (!file) return refused();
  return new Response(new Uint8Array(file.content), { headers: { "content-type": file.mime, "cache-control": "private, max-age=31536000, immutable", "content-security-policy": "default-src 'none'" } });
}
