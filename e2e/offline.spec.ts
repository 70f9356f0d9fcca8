// Three scorers without a network for twenty minutes: a reload, a closed browser and a wrong clock among them; what
// they scored arrives once and in its order. Then two who scored the same attempt choose.
import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { type BrowserContext, chromium, expect, type Page, test } from "@playwright/test";
import config from "../playwright.config";
import { relayTo } from "./relay";
import { choose, demoUrl, enter, findings, guestLink, openEvent, passAll, stranger, tickCautions } from "./tools";

const slug = "porch-hoist";
const event = "Barrel run";
const attempts = 20;
/**
 * The outage is as long as it takes to score, the devices' clocks set on; IRONSTONE_OUTAGE=20 makes it last as many
 * real minutes, spread over the attempts in it.
 */
const minutes = Number(process.env.IRONSTONE_OUTAGE ?? 0);
const inOutage = 3 * 17;

/** What each of them writes: a value for every attempt by which it is known. */
const timeOf = (device: number, n: number) => (10 + device * 20 + n * 0.5).toFixed(1);

async function setUp(page: Page): Promise<void> {
  await page.goto(`${demoUrl}/p/${slug}/contest/event`);
  await page.getByLabel("Event", { exact: true }).fill(event);
  await choose(page.getByLabel("What is measured"), { label: "Time (s)" });
  await choose(page.getByLabel("Better is"), "less");
  await page.getByLabel("Attempts", { exact: true }).fill(String(attempts));
  await page.getByLabel(/^Resolution/).fill("0.5");
  await page.getByRole("button", { name: "Set up the event" }).click();
  await expect(page.getByRole("heading", { level: 1, name: event })).toBeVisible();
  await passAll(page, `${demoUrl}/p/${slug}`);
  await page.goto(`${demoUrl}/p/${slug}/contest`);
  await page.getByRole("link", { name: event }).click();
  await tickCautions(page, event, "Mara Okonedo");
}

/** A scorer's device opens its link, and is ready to lose the network. */
async function openLink(page: Page, link: { url: string; pin: string | null }, via: string): Promise<void> {
  await openEvent(page, link, event, via);
  await expect(page.getByText("This page opens without a network too.", { exact: false })).toBeVisible();
}

const form = (page: Page, team: string, n: number) => page.getByRole("form", { name: `Attempt ${n} of ${team}` });

async function score(page: Page, team: string, n: number, value: string): Promise<void> {
  const field = form(page, team, n).getByLabel(/^Time/);
  await field.fill(value);
  await field.press("Enter");
  if (n < attempts) await expect(form(page, team, n + 1)).toBeVisible();
}

test("sixty attempts of three devices arrive once and in order after the network was away", async ({
  page,
  browser,
}) => {
  if (minutes) test.setTimeout((minutes + 10) * 60_000);
  await enter(page, "Mara");
  await setUp(page);
  const teams = (await page.getByRole("form", { name: /^Attempt 1 of/ }).all()).slice(0, 3);
  const names = await Promise.all(teams.map(async (t) => (await t.getAttribute("aria-label"))!.slice(13)));
  const links = [];
  for (const label of ["Gate", "Ramp", "Rail"]) links.push(await guestLink(page, slug, "scorer", label));
  const relay = await relayTo(demoUrl);
  // One device is closed in between: its browser keeps a folder of its own.
  const folder = mkdtempSync(join(tmpdir(), "ironstone-device-"));
  const device = (): Promise<BrowserContext> =>
    chromium.launchPersistentContext(folder, { ...config.use?.launchOptions, viewport: { width: 360, height: 740 } });
  let closing = await device();
  const phone = { viewport: { width: 360, height: 740 } };
  const pages = [
    await (await browser.newContext(phone)).newPage(),
    await closing.newPage(),
    await (await browser.newContext(phone)).newPage(),
  ] as [Page, Page, Page];
  // The third one's clock is a day behind.
  await pages[2].clock.install({ time: new Date(Date.now() - 86_400_000) });
  for (const [i, p] of pages.entries()) await openLink(p, links[i]!, relay.url);
  // The first three are scored with the network, which then goes.
  for (const [i, p] of pages.entries()) for (let n = 1; n <= 3; n++) await score(p, names[i]!, n, timeOf(i, n));
  for (const p of pages) await expect(p.getByRole("list", { name: "Waiting for the network" })).toHaveCount(0);
  relay.cut();
  const away = async (i: number, n: number) => {
    await score(pages[i]!, names[i]!, n, timeOf(i, n));
    if (minutes) await page.waitForTimeout((minutes * 60_000) / inOutage);
  };
  for (let n = 4; n <= 10; n++) for (const i of pages.keys()) await away(i, n);
  await expect(pages[0].getByText("7 wait in this browser.")).toBeVisible();
  expect(await findings(pages[0])).toEqual([]);
  const beyond = () => pages[0].evaluate(() => Math.max(0, document.documentElement.scrollWidth - innerWidth));
  expect(await beyond()).toBe(0);
  // A reload without a network: the page is there, with what waits and what was being typed.
  await form(pages[0], names[0]!, 11).getByLabel(/^Time/).fill(timeOf(0, 11));
  await pages[0].reload();
  await expect(pages[0].getByText("7 wait in this browser.")).toBeVisible();
  await expect(form(pages[0], names[0]!, 11).getByLabel(/^Time/)).toHaveValue(timeOf(0, 11));
  // The watch below the field needs no network either, and what it took fills the field by a press.
  await pages[0].getByRole("button", { name: "Stopwatch and light gates" }).click();
  const watch = pages[0].getByRole("region", { name: "First watch" });
  await watch.getByRole("button", { name: "Start" }).press("Enter");
  await watch.getByRole("button", { name: "Stop" }).press("Enter");
  await form(pages[0], names[0]!, 11)
    .getByRole("button", { name: /s first watch$/ })
    .click();
  await expect(form(pages[0], names[0]!, 11).getByLabel(/^Time/)).toHaveValue(/^\d+\.\d\d$/);
  // A closed browser.
  await closing.close();
  closing = await device();
  pages[1] = await closing.newPage();
  await pages[1].goto(`${relay.url}/guest`);
  await expect(pages[1].getByText("7 wait in this browser.")).toBeVisible();
  await pages[1].getByRole("link", { name: event }).click();
  await expect(form(pages[1], names[1]!, 11)).toBeVisible();
  for (let n = 11; n <= attempts; n++) for (const i of pages.keys()) await away(i, n);
  await pages[2].clock.fastForward("20:00");
  for (const p of pages) await expect(p.getByText("17 wait in this browser.")).toBeVisible();
  // Nothing of it is on the server yet.
  await page.goto(`${demoUrl}/screen/${slug}`);
  const row = (i: number) => page.getByRole("row", { name: new RegExp(names[i]!) });
  await expect(row(0)).toContainText(timeOf(0, 3));
  await expect(row(0)).not.toContainText(timeOf(0, 4));
  relay.mend();
  for (const p of pages) {
    await p.evaluate(() => window.dispatchEvent(new Event("online")));
    await expect(p.getByRole("list", { name: "Waiting for the network" })).toHaveCount(0);
  }
  for (const [i, name] of names.entries()) {
    const wanted = Array.from({ length: attempts }, (_, n) => timeOf(i, n + 1));
    await expect(row(i)).toContainText(wanted.at(-1)!);
    const shown = (await row(i).textContent())!.match(/\d+\.\d/g)!.slice(0, attempts);
    expect([name, shown]).toEqual([name, wanted]);
  }
  await Promise.all([closing.close(), pages[0].context().close(), pages[2].context().close(), relay.close()]);
  rmSync(folder, { recursive: true, force: true });
});

test("two who scored the same attempt see both, and one of them chooses", async ({ page, browser }) => {
  await enter(page, "Mara");
  await page.goto(`${demoUrl}/p/${slug}/contest`);
  await page.getByRole("link", { name: event }).click();
  const open = page.getByRole("form", { name: /^Attempt 1 of/ }).first();
  const team = (await open.getAttribute("aria-label"))!.slice(13);
  const links = [];
  for (const label of ["Stopwatch", "Photogate"]) links.push(await guestLink(page, slug, "scorer", label));
  const relay = await relayTo(demoUrl);
  const [one, two] = [await stranger(browser), await stranger(browser)];
  await openLink(one, links[0]!, demoUrl);
  await openLink(two, links[1]!, relay.url);
  relay.cut();
  await score(two, team, 1, "31.5");
  await score(one, team, 1, "31.0");
  relay.mend();
  await two.evaluate(() => window.dispatchEvent(new Event("online")));
  const both = (p: Page) => p.getByRole("region", { name: `Attempt 1 of ${team}, scored by two people` });
  await expect(both(two)).toBeVisible();
  await one.reload();
  await expect(both(one)).toContainText("First: 31.0 s by Stopwatch");
  await expect(both(one)).toContainText("Second: 31.5 s by Photogate");
  await both(one).getByRole("button", { name: "The second record stands" }).press("Enter");
  await expect(both(one)).toHaveCount(0);
  await page.goto(`${demoUrl}/screen/${slug}`);
  await expect(page.getByRole("row", { name: new RegExp(team) })).toContainText("31.5");
  await expect(page.getByRole("row", { name: new RegExp(team) })).not.toContainText("31.0");
  await relay.close();
  // The demo is left as it was.
  await page.goto(`${demoUrl}/p/${slug}/contest`);
  await page.getByRole("link", { name: event }).click();
  await page.getByRole("button", { name: "Withdraw the event" }).click();
  await page.getByLabel("Why? The record keeps this.").fill("It was a rehearsal");
  await page.getByRole("button", { name: "Withdraw it" }).click();
  await expect(page.getByRole("link", { name: event })).toHaveCount(0);
});
