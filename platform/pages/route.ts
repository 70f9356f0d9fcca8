import type * as row from "../db/rows";
import "server-only";
import { type Act, type Actor, can } from "@/core/access/can";
import { db } from "@/platform/db/db";
import { currentGuest, currentPerson } from "@/platform/sign-in/cookies";

/**
 * Who asks for a route: the signed-in person, or else the guest of this browser, if either may do the act; null
 * otherwise.
 */
export async function allowed(
  act: Act,
  project: string,
  more: { team?: string | null; person?: string } = {},
): Promise<Actor | null> {
  for (const actor of [await currentPerson(), await currentGuest()])
    if (can(actor, act, { project, ...more })) return actor;
  return null;
}

/** Whether a request comes from a page of our own; browsers that do not say so are trusted to keep their cookies. */
export function fromOurPages(request: Request): boolean {
  const site = request.headers.get("sec-fetch-site");
  return !site || site === "same-origin";
}

export const refused = () =>
  new Response("Not here, or not for you.", { status: 404, headers: { "content-type": "text/plain; charset=utf-8" } });

export async function projectId(
  slug: string,
): Promise<{ id: string; title: string; slug: string; currency: string } | null> {
  return (
    (
      await db()<
        {
          id: row.Project["id"];
          title: row.Project["title"];
          slug: row.Project["slug"];
          currency: row.Project["currency"];
        }[]
      >`SELECT id, title, slug, currency FROM project WHERE slug = ${slug}`
    )[0] ?? null
  );
}

/** A download with a name; never kept in shared caches. */
export const download = (body: string | Uint8Array, name: string, type: string): Response =>
  new Response(body as BodyInit, {
    headers: {
      "content-type": type,
      "content-disposition": `attachment; filename="${name}"`,
      "cache-control": "private, no-store",
    },
  });
