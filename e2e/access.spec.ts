// Route handlers against every role, own and foreign; guests' surfaces; two people, a stale tab, a lost network.
import { readdirSync } from "node:fs";
import { type APIRequestContext, type Browser, expect, test } from "@playwright/test";
import { demoUrl, enter, guestLink, stranger, tickCautions } from "./tools";

const found = (readdirSync("app", { recursive: true }) as string[])
  .filter((f) => f.endsWith("route.ts"))
  .map((f) => f.replace(/\/route\.ts$/, ""))
  .sort();

type Role = "owner" | "student" | "nobody" | "client" | "reviewer" | "scorer";
const inside: Role[] = ["owner", "student"];
const everybody: Role[] = ["owner", "student", "nobody", "client", "reviewer", "scorer"];

test("every route handler against every role", async ({ page, browser }) => {
  await enter(page, "Mara");
  const slug = "terrace-pump";
  await page.goto(`${demoUrl}/p/${slug}/plan`);
  const ics = (await page.getByRole("link", { name: "Calendar (ICS)" }).first().getAttribute("href"))!;
  await page.goto(`${demoUrl}/p/${slug}/people`);
  const live = (await page.content()).match(/\/api\/live\?project=([0-9a-f-]{36})/)![1]!;
  await page.goto(`${demoUrl}/p/${slug}/builds`);
  await page.getByRole("link", { name: "Cistern G4" }).click();
  const photo = (await page.locator("figure img").first().getAttribute("src"))!;
  // Workings by their address: what the class reads is open to the class, a grade to the instructor alone.
  const source = async (path: string) =>
    (await (await page.request.get(`${demoUrl}/p/${slug}${path}`)).text()).replaceAll(/&amp;|\\+u0026/g, "&");
  const verdict = /\/api\/working\?project=[\w-]+&of=verdict&requirement=[\w-]{36}&build=[\w-]{36}/.exec(
    await source("/needs"),
  )!;
  await page.goto(`${demoUrl}/p/cold-box/bench`);
  const logged = page.getByRole("link", { name: /chamber-logger/ });
  const series = (await logged.getAttribute("href"))!.slice(-36);
  await page.goto(`${demoUrl}/p/${slug}/grades`);
  const person = (await page.getByRole("rowheader").first().getByRole("link").getAttribute("href"))!.slice(-36);
  const grade = `/api/working?project=${slug}&of=grade&person=${person}`;
  const record = `/p/${slug}/student/${person}`;
  await page.goto(`${demoUrl}/p/${slug}/reviews/stories`);
  const story = `${await page.getByRole("link", { name: /^The tube that swings/ }).getAttribute("href")}/html`;
  expect((await page.request.get(`${demoUrl}${photo}`)).headers()["content-security-policy"]).toBe(
    "default-src 'none'; frame-ancestors 'none'",
  );
  const contexts: Record<Role, APIRequestContext> = { owner: page.request } as never;
  const student = await stranger(browser);
  await enter(student, "Greta Malik");
  contexts.student = student.request;
  contexts.nobody = (await stranger(browser)).request;
  for (const role of ["client", "reviewer", "scorer"] as const) {
    const { url, pin } = await guestLink(page, slug, role, `matrix ${role}`);
    const guest = await stranger(browser);
    await guest.goto(url);
    if (pin) await guest.getByLabel("PIN").fill(pin);
    await guest.getByRole("button", { name: "Open" }).click();
    await guest.waitForURL(/\/guest/);
    contexts[role] = guest.request;
  }
  const table: [handler: string, url: string, may: Role[]][] = [
    ["api/board", `/api/board?project=${live}`, ["owner", "student", "scorer"]],
    ["api/file/[use]", photo, ["owner", "student", "client", "reviewer"]],
    ["api/jump", `/api/jump?project=${slug}&q=alder`, inside],
    ["api/live", `/api/live?project=${live}`, ["owner", "student", "client", "reviewer", "scorer"]],
    ["api/series", `/api/series?id=${series}&from=0&to=9`, ["owner"]],
    ["api/series/csv", `/api/series/csv?id=${series}`, ["owner"]],
    ["api/working", verdict[0], inside],
    ["api/working", grade, ["owner"]],
    ["guest-offline.js", "/guest-offline.js", everybody],
    ["guest.webmanifest", "/guest.webmanifest", everybody],
    ["health", "/health", everybody],
    ["p/[project]/bundle", `/p/${slug}/bundle`, ["owner"]],
    ["p/[project]/bundle", `/p/${slug}/bundle?for=school&pictures=yes`, ["owner"]],
    ["p/[project]/calendar/[section]", ics, inside],
    ["p/[project]/csv/[kind]", `/p/${slug}/csv/requirements`, ["owner", "student", "reviewer"]],
    ["p/[project]/csv/[kind]", `/p/${slug}/csv/register`, ["owner", "student", "reviewer"]],
    ["p/[project]/csv/[kind]", `/p/${slug}/csv/runs`, inside],
    ["p/[project]/csv/[kind]", `/p/${slug}/csv/standings`, ["owner", "student", "scorer"]],
    ["p/[project]/csv/[kind]", `/p/${slug}/csv/gradebook`, ["owner"]],
    ["p/[project]/csv/[kind]", `/p/${slug}/csv/rubric`, ["owner"]],
    ["p/[project]/csv/[kind]", `/p/${slug}/csv/incidents`, ["owner"]],
    ["p/[project]/csv/[kind]", `/p/${slug}/csv/shopping`, ["owner"]],
    ["p/[project]/reviews/slots/calendar", "/p/cold-box/reviews/slots/calendar?title=Concept%20review", ["owner"]],
    ["p/[project]/reviews/stories/[team]/html", story, inside],
    ["p/[project]/student/[person]", record, ["owner"]],
    ["p/[project]/template", `/p/${slug}/template`, ["owner"]],
    ["school/backup", "/school/backup", ["owner"]],
  ];
  expect([...new Set([...table.map(([h]) => h), "api/box", "api/outcome", "api/try", "api/vote"])].sort()).toEqual(
    found,
  );
  // What became of a request is asked by POST, by whoever is signed in.
  const request = "0190a0b0-0000-7000-8000-000000000abc";
  const outcome = (role: Role, more = "") => contexts[role].post(`${demoUrl}/api/outcome?request=${request}${more}`);
  expect([(await outcome("nobody")).status(), (await outcome("client")).status()]).toEqual([404, 404]);
  expect(await (await outcome("owner")).json()).toEqual({ outcome: "not saved" });
  expect(await (await outcome("student")).json()).toEqual({ outcome: "unknown" });
  // What a page kept in its box is sent by POST: the command says who may, and a stranger's site nothing.
  const day = (role: Role, more: object, headers = {}) =>
    contexts[role].post(`${demoUrl}/api/box`, { data: { what: "attempt", via: "guest", ...more }, headers });
  const entryId = "0190a0b0-0000-7000-8000-000000000abd";
  const attempt = { input: { id: request, entryId, state: "foul" } };
  expect(await (await day("scorer", attempt)).json()).toMatchObject({ ok: false, kind: "missing" });
  expect([
    (await day("scorer", { what: "grades" })).status(),
    (await day("scorer", { what: "toString" })).status(),
  ]).toEqual([400, 400]);
  expect((await day("scorer", { input: "x".repeat(1_000_001) })).status()).toBe(413);
  expect((await day("scorer", attempt, { "sec-fetch-site": "cross-site" })).status()).toBe(403);
  // Anybody votes who has the address of an open vote; a stranger's site does not, and nobody in a closed one.
  const vote = (data: object, headers = {}) =>
    contexts.nobody.post(`${demoUrl}/api/vote`, { data, headers }).then((r) => r.status());
  const ballot = { code: "NOSUCH", team: entryId };
  expect([await vote(ballot), await vote({ code: 7 }), await vote({})]).toEqual([409, 400, 400]);
  expect(await vote(ballot, { "sec-fetch-site": "cross-site" })).toBe(403);
  // What a change would do is asked by POST, by who may make it; a stranger's site learns nothing.
  const trial = (role: Role, of: string, data: object, headers = {}) =>
    contexts[role].post(`${demoUrl}/api/try?of=${of}&project=${slug}`, { data, headers });
  for (const role of Object.keys(contexts) as Role[])
    expect([role, (await trial(role, "marks", { text: "Student\nAda" })).status()]).toEqual([
      role,
      role === "owner" ? 200 : 404,
    ]);
  expect(await (await trial("owner", "scheme", { decimals: 1, components: [] })).json()).toEqual({
    wrong: "A scheme has at least one component.",
  });
  expect([
    (await trial("owner", "toString", {})).status(),
    (await trial("owner", "scheme", {}, { "sec-fetch-site": "cross-site" })).status(),
  ]).toEqual([404, 403]);
  // The texts of the record are searched by people of the project; a guest is sent to the door.
  for (const role of Object.keys(contexts) as Role[]) {
    const page = await (await contexts[role].get(`${demoUrl}/p/${slug}/search?q=leak`)).text();
    expect([role, page.includes("Every text of the record")]).toEqual([role, inside.includes(role)]);
  }
  for (const [, url, may] of table)
    for (const role of Object.keys(contexts) as Role[]) {
      // A stream never ends: its head is asked for by a page of the role.
      const status = /^\/api\/(live|board)/.test(url)
        ? await head(contexts[role], demoUrl + url)
        : // A backup of the whole school takes its time where other journeys go beside this one.
          (await contexts[role].get(demoUrl + url, { timeout: 120_000 })).status();
      expect([url, role, status]).toEqual([url, role, may.includes(role) ? 200 : 404]);
    }
  // Another project: the student of this one is not in it, guests of this one neither.
  for (const role of ["student", "nobody", "client", "reviewer", "scorer"] as const)
    for (const url of [
      "/p/cold-box/bundle",
      "/p/cold-box/csv/requirements",
      "/p/cold-box/csv/standings",
      "/api/jump?project=cold-box&q=a",
      verdict[0].replace(slug, "cold-box"),
    ])
      expect([url, role, (await contexts[role].get(demoUrl + url)).status()]).toEqual([url, role, 404]);
  expect((await contexts.student.get(`${demoUrl}/p/cold-box`)).status()).toBe(404);
  expect((await contexts.student.get(`${demoUrl}/p/${slug}/people`)).status()).toBe(404);
});

async function head(context: APIRequestContext, url: string): Promise<number> {
  const cookies = (await context.storageState()).cookies.map((c) => `${c.name}=${c.value}`).join("; ");
  const stop = new AbortController();
  const r = await fetch(url, { headers: { cookie: cookies }, signal: stop.signal });
  stop.abort();
  return r.status;
}

test("a write from another site is refused", async ({ page }) => {
  await enter(page, "Mara");
  const r = await page.request.post(`${demoUrl}/p/terrace-pump/brief`, {
    headers: {
      origin: "https://elsewhere.example",
      "next-action": "0".repeat(42),
      "content-type": "text/plain;charset=UTF-8",
    },
    data: "[]",
  });
  expect(r.status()).toBeGreaterThanOrEqual(400);
});

test(
  "a reviewer with a link fills in a sheet; a judge with a PIN inspects and scores on a tablet; the " +
    "board shows it",
  async ({ page, browser }) => {
    await enter(page, "Mara");
    const reviewer = await guestLink(page, "terrace-pump", "reviewer", "Odile Brandt");
    const judge = await guestLink(page, "terrace-pump", "judge", "Gym");
    const board = await guestLink(page, "terrace-pump", "board", "Hall");
    const a = await phone(browser);
    await a.goto(reviewer.url);
    await a.getByRole("button", { name: "Open" }).click();
    await a.getByRole("link", { name: /Alder Final review/ }).click();
    for (const level of ["2 most musts, by measurement", "3 from tests, one change at a time", "2 sound", "2 clear"])
      await a
        .getByRole("radio", { name: new RegExp(level) })
        .first()
        .check();
    await a.reload();
    await a.context().setOffline(true);
    await a.getByRole("button", { name: "Hand in the sheet" }).click();
    await expect(a.getByText("No connection: the sheet waits")).toBeVisible();
    await a.context().setOffline(false);
    await expect(a.getByRole("button", { name: "Hand in the corrected sheet" })).toBeVisible();
    await expect(a.getByRole("radio", { name: /2 most musts/ }).first()).toBeChecked();
    const b = await phone(browser);
    await b.goto(judge.url);
    await b.getByLabel("PIN").fill("0000");
    await b.getByRole("button", { name: "Open" }).click();
    await expect(b.getByText("This is not the link's PIN")).toBeVisible();
    await b.getByLabel("PIN").fill(judge.pin!);
    await b.getByRole("button", { name: "Open" }).click();
    const c = await stranger(browser);
    await c.goto(board.url);
    await expect(c.getByRole("heading", { name: "Terrace Pump contest" })).toBeVisible();
    await b.getByRole("link", { name: "Inspection" }).click();
    await b.getByRole("button", { name: /^Pass/ }).click();
    await b.getByLabel(/why it may start/).fill("Seen by hand");
    await b.getByRole("button", { name: "Pass with a waiver" }).click();
    await expect(b.getByText("It is impounded", { exact: false })).toBeVisible();
    await b.getByRole("link", { name: "Scoring" }).click();
    await tickCautions(b, "Timed lift", "Mara Okonedo");
    const form = b.getByRole("form", { name: /^Attempt 1 of/ });
    await form.getByLabel("Collected").fill("8.9");
    await b.context().setOffline(true);
    await form.getByRole("button", { name: /^Save attempt/ }).click();
    await expect(b.getByText("No connection: this attempt waits and is sent by itself.")).toBeVisible();
    await expect(b.getByText("waits here, also through a reload")).toBeVisible();
    await b.context().setOffline(false);
    await expect(b.getByText("8.90 kg")).toBeVisible();
    await expect(c.getByRole("row", { name: /8\.9/ })).toBeVisible();
    expect(await b.evaluate(() => Math.max(0, document.documentElement.scrollWidth - innerWidth))).toBe(0);
  },
);

const phone = async (browser: Browser) =>
  (await browser.newContext({ viewport: { width: 390, height: 844 } })).newPage();

test("two people edit at once: both values are shown, nothing is lost", async ({ page, browser }) => {
  await enter(page, "Mara");
  const other = await stranger(browser);
  await enter(other, "Mara");
  for (const p of [page, other]) await p.goto(`${demoUrl}/p/cold-box/settings`);
  await other.getByLabel("Purpose").fill("Keep vials cold, said the other");
  await page.getByLabel("Purpose").fill("Keep vials cold, said one");
  await page.getByRole("button", { name: "Save" }).click();
  await expect(page.getByText("Saved.")).toBeVisible();
  await other.getByRole("button", { name: "Save" }).click();
  await expect(other.getByText("Somebody else saved first.")).toBeVisible();
  await expect(other.getByRole("cell", { name: "Keep vials cold, said one" })).toBeVisible();
  await expect(other.getByLabel("Purpose")).toHaveValue("Keep vials cold, said the other");
  await other.getByRole("button", { name: "Save mine over theirs" }).click();
  await expect(other.getByText("Saved.")).toBeVisible();
});

test("a double click saves once, and signing out in another tab loses nothing", async ({ page }) => {
  await enter(page, "Mara");
  await page.goto(`${demoUrl}/p/cold-box/plan`);
  await page.getByLabel("Milestone", { exact: true }).fill("Pressed twice");
  await page.getByLabel("Due").fill("2027-04-01");
  await page.getByRole("button", { name: "Add milestone" }).dblclick();
  await expect(page.getByRole("cell", { name: "Pressed twice", exact: true })).toHaveCount(1);
  await page.getByLabel("Milestone", { exact: true }).fill("Kept");
  await page.getByLabel("Due").fill("2027-04-02");
  await page.context().clearCookies();
  await page.getByRole("button", { name: "Add milestone" }).click();
  await expect(page.getByText("You are signed out.")).toBeVisible();
  await expect(page.getByLabel("Milestone", { exact: true })).toHaveValue("Kept");
});
