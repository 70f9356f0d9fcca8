import { db } from "@/platform/db/db";

export const dynamic = "force-dynamic";

/** Whether the server and its database answer: for whoever watches over them. */
export async function GET(): Promise<Response> {
  const answer = (status: number, words: string) =>
    new Response(`${words}\n`, { status, headers: { "cache-control": "no-store" } });
  let clock: NodeJS.Timeout | undefined;
  const late = new Promise<never>((_, reject) => {
    clock = setTimeout(() => reject(new Error("late")), 2000);
  });
  try {
    await Promise.race([db()`SELECT 1`, late]);
    return answer(200, "well");
  } catch {
    return answer(503, "the database does not answer");
  } finally {
    clearTimeout(clock);
  }
}
