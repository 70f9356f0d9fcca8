// Every main view: no serious or critical finding of axe-core, nothing wider than the window, no error on the console.
import { expect, test } from "@playwright/test";
import { demoUrl, enter, findings } from "./tools";

const views = [
  "",
  "/brief",
  "/needs?r=R-02",
  "/needs/new",
  "/needs/questions",
  "/needs/sources",
  "/needs/statements",
  "/needs/changes",
  "/needs/inspection",
  "/brief/compare",
  "/brief/challenge",
  "/concepts",
  "/concepts/choose",
  "/teams",
  "/teams/parts",
  "/teams/form",
  "/notebook",
  "/handbook",
  "/handbook?c=piston-pump",
  "/handbook?c=truss",
  "/handbook/trainer",
  "/search?q=valve",
  "/records/editions",
  "/records/features",
  "/records/cures",
  "/records/start",
  "/records/models",
  "/records/guides",
  "/records/honours",
  "/records/booklet",
  "/shop",
  "/shop/training",
  "/shop/safety",
  "/shop/stock",
  "/shop/cutting",
  "/shop/settings",
  "/plan/calendar",
  "/plan/gates",
  "/builds",
  "/builds/tree",
  "/builds/failures",
  "/builds/limits",
  "/builds/meeting",
  "/attention",
  "/class",
  "/class?part=during",
  "/class?part=after",
  "/class/sheet",
  "/class/attendance",
  "/bench",
  "/bench/class",
  "/bench/compare",
  "/bench/compare?by=teams",
  "/bench/compare?by=factors",
  "/bench/compare?by=variable",
  "/bench/compare?by=predictions",
  "/bench/experiment?factors=valve:+flap,+ball&repeats=2&minutes=4&seed=1",
  "/bench/pilot",
  "/bench/protocol",
  "/bench/protocol?from=load",
  "/reviews",
  "/reviews/rubric",
  "/reviews/slots?title=Test%20review",
  "/reviews/stories",
  "/reviews/report",
  "/reviews/sheets?title=Final%20review,%20client%20present",
  "/grades",
  "/grades/scheme",
  "/grades/peers",
  "/grades/spreadsheet",
  "/contest",
  "/contest/event",
  "/contest/programme",
  "/contest/inspection",
  "/contest/boards",
  "/contest/judged",
  "/contest/judged/edit",
  "/contest/copy",
  "/contest/papers",
  "/contest/papers?what=scores",
  "/contest/papers?what=results",
  "/contest/papers?what=certificates",
  "/contest/steward",
  "/contest/matches",
  "/contest/matches/edit",
  "/contest/overall",
  "/records",
  "/plan",
  "/people",
  "/settings",
  "/audit",
];

test("instructor's views", async ({ page }) => {
  // Some fifty pages, each with a search for what hinders people: on a slow machine that takes its time.
  test.setTimeout(900_000);
  const errors: string[] = [];
  page.on("console", (m) => m.type() === "error" && errors.push(m.text()));
  page.on("pageerror", (e) => errors.push(String(e)));
  await enter(page, "Mara");
  for (const path of [
    "/",
    "/new",
    "/import",
    "/school",
    "/screen/terrace-pump",
    ...views.map((v) => `/p/terrace-pump${v}`),
    "/p/terrace-pump-last-year",
    "/p/terrace-pump-last-year/contest",
    "/p/terrace-pump-last-year/contest/matches",
    "/screen/terrace-pump-last-year/replay",
    "/stopwatch",
    "/p/terrace-pump-last-year/contest/overall",
    "/p/cold-box",
    "/p/cold-box/needs/statements",
    "/p/cold-box/concepts",
    "/p/cold-box/teams/form",
  ]) {
    const r = await page.goto(demoUrl + path);
    expect([path, r!.status()]).toEqual([path, 200]);
    await expect(page.getByRole("heading", { level: 1 }).first()).toBeVisible();
    expect.soft([path, await findings(page)]).toEqual([path, []]);
    expect
      .soft([path, await page.evaluate(() => Math.max(0, document.documentElement.scrollWidth - innerWidth))])
      .toEqual([path, 0]);
  }
  expect(errors).toEqual([]);
});

test("student's views on a phone", async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await enter(page, "Greta Malik");
  for (const path of [
    "/",
    "/p/terrace-pump",
    ...[
      "brief",
      "needs",
      "concepts",
      "teams",
      "builds",
      "bench",
      "reviews",
      "grades",
      "grades/peers",
      "contest",
      "contest/programme",
      "contest/matches",
      "contest/overall",
      "records",
      "plan",
      "notebook",
      "needs/questions",
      "needs/sources",
      "needs/statements",
      "plan/gates",
      "teams/parts",
      "builds/tree",
      "builds/failures",
      "bench/class",
      "bench/pilot",
      "bench/compare",
      "bench/compare?by=factors",
      "bench/experiment",
    ].map((v) => `/p/terrace-pump/${v}`),
  ]) {
    const r = await page.goto(demoUrl + path);
    expect([path, r!.status()]).toEqual([path, 200]);
    expect.soft([path, await findings(page)]).toEqual([path, []]);
    expect
      .soft([path, await page.evaluate(() => Math.max(0, document.documentElement.scrollWidth - innerWidth))])
      .toEqual([path, 0]);
  }
});

test("nothing is loaded from outside, and the page says so in its policy", async ({ page }) => {
  const hosts = new Set<string>();
  page.on("request", (r) => hosts.add(new URL(r.url()).host));
  await enter(page, "Mara");
  const r = await page.goto(`${demoUrl}/p/terrace-pump/bench`);
  await expect(page.getByText("Flow by generation")).toBeVisible();
  expect([...hosts]).toEqual([new URL(demoUrl).host]);
  expect(r!.headers()["content-security-policy"]).toContain("script-src 'self' 'nonce-");
  expect(r!.headers()["x-content-type-options"]).toBe("nosniff");
});
