// The whole day: a steward, two scorers, one of them without a network for a while, a judge, a board, a spectator.
import { type Browser, expect, type Page, test } from "@playwright/test";
import {
  choose,
  demoUrl,
  enter,
  findings,
  focusOn,
  guestLink,
  openEvent,
  passAll,
  stranger,
  tickCautions,
} from "./tools";

const base = `${demoUrl}/p/porch-hoist`;
const [pull, race, talk] = ["Sack pull", "Porch race", "Two-minute talk"];

/** A measured event, one of matches and a judged one, by their forms. */
async function setUp(page: Page): Promise<void> {
  const done = async (name: string) => {
    await page.getByRole("button", { name: "Set up the event" }).click();
    await expect(page.getByRole("heading", { level: 1, name })).toBeVisible();
  };
  await page.goto(`${base}/contest/event`);
  await page.getByLabel("Event", { exact: true }).fill(pull!);
  await choose(page.getByLabel("What is measured"), { label: "Time (s)" });
  await choose(page.getByLabel("Better is"), "less");
  await page.getByLabel("Attempts", { exact: true }).fill("2");
  await done(pull!);
  await page.goto(`${base}/contest/matches/edit`);
  await page.getByLabel("Event", { exact: true }).fill(race!);
  await page.getByRole("radio", { name: /^single elimination/ }).click();
  await done(race!);
  await page.getByRole("button", { name: "Draw the seeds" }).click();
  await expect(page.getByText(/Seeds drawn with seed/)).toBeVisible();
  await tickCautions(page, race!, "Mara Okonedo");
  await page.goto(`${base}/contest/judged/edit`);
  await page.getByLabel("Event", { exact: true }).fill(talk!);
  await done(talk!);
  await passAll(page, base);
  await page.goto(`${base}/contest`);
  await page.getByRole("link", { name: pull }).click();
  await tickCautions(page, pull!, "Mara Okonedo");
}

/** Somebody's device, which opens a link and an event. */
async function device(browser: Browser, link: { url: string; pin: string | null }, event: string): Promise<Page> {
  const page = await (await browser.newContext({ viewport: { width: 360, height: 740 } })).newPage();
  await openEvent(page, link, event);
  return page;
}

const confirm = async (page: Page, event: string) => {
  await page.goto(`${base}/contest`);
  await page.getByRole("link", { name: event }).click();
  await expect(page.getByRole("heading", { level: 1, name: event })).toBeVisible();
  await page.getByRole("button", { name: "Confirm the result" }).click();
  await page.getByRole("button", { name: "Yes, do it" }).click();
  await expect(page.getByText(/confirmed/).first()).toBeVisible();
};

test("the whole day, from the call of the first team to the award", async ({ page, browser }) => {
  await enter(page, "Mara");
  await setUp(page);
  const link = (role: string, label: string) => guestLink(page, "porch-hoist", role, label);
  const links = [await link("scorer", "Bench A"), await link("scorer", "Bench B"), await link("judge", "Neighbour")];
  const hall = await stranger(browser);
  await hall.goto((await link("board", "Hall screen")).url);
  await expect(hall.getByRole("heading", { level: 1, name: "Porch Hoist contest" })).toBeVisible();
  const [one, two] = [await device(browser, links[0]!, pull!), await device(browser, links[1]!, pull!)];
  const judge = await device(browser, links[2]!, talk!);

  // The steward calls whoever is on to every board, by one press, until they are there.
  await page.goto(`${base}/contest/steward`);
  const call = page.getByRole("button", { name: new RegExp(`^call .*: please come to ${pull}`) }).first();
  const words = (await call.innerText()).replace(/^call\s+/, "").trim();
  await call.press("Enter");
  await expect(hall.getByText(words)).toBeVisible();
  await page.getByRole("button", { name: "They are here" }).press("Enter");
  await expect(hall.getByText(words)).toHaveCount(0);

  // Two scorers share the field; the second one's network goes, and comes back.
  const attempt = (p: Page) => p.getByRole("form", { name: /^Attempt 1 of/ });
  const teams = await attempt(one).evaluateAll((all) => all.map((f) => f.getAttribute("aria-label")!.slice(13)));
  const score = async (p: Page, team: string, value: string) => {
    const field = p.getByRole("form", { name: `Attempt 1 of ${team}` }).getByLabel(/^Time/);
    await field.fill(value);
    await field.press("Enter");
  };
  for (const [i, team] of teams.slice(0, 3).entries()) {
    await score(one, team, String(20 + i));
    await expect(one.getByText(`${team}: attempt 1 is saved.`)).toBeVisible();
  }
  await two.context().setOffline(true);
  for (const [i, team] of teams.slice(3).entries()) await score(two, team, String(30 + i));
  await expect(two.getByText(`${teams.length - 3} wait in this browser.`)).toBeVisible();
  await two.context().setOffline(false);
  await expect(two.getByRole("list", { name: "Waiting for the network" })).toHaveCount(0);
  for (const team of teams.slice(3)) await expect(hall.getByRole("row", { name: new RegExp(team) })).toContainText("3");

  // The judge marks by digits; the race is played from a scorer's phone.
  for (let i = 0; i < teams.length; i++) {
    await focusOn(judge.getByRole("tabpanel").getByRole("radio").first());
    for (const key of ["4", String(i), "Tab", "Enter"]) await judge.keyboard.press(key);
    await expect(judge.getByRole("tab", { name: /marked/ })).toHaveCount(i + 1);
  }
  await one.getByRole("link", { name: race }).press("Enter");
  await expect(one.getByRole("heading", { level: 1, name: race })).toBeVisible();
  for (let left = teams.length - 1; left > 0; left--) {
    const match = one.getByRole("region", { name: /against/ }).first();
    const name = (await match.getAttribute("aria-label"))!;
    await match
      .getByRole("button", { name: /has won/ })
      .first()
      .press("Enter");
    await expect(one.getByRole("region", { name })).toHaveCount(0);
  }
  for (const p of [one, two, judge]) {
    expect(await findings(p)).toEqual([]);
    expect(await p.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(360);
  }

  // The results are confirmed, and the first award is revealed in the hall.
  for (const event of [pull!, race!, talk!]) await confirm(page, event);
  await page.goto(`${base}/contest/boards`);
  await page.getByRole("button", { name: "Add a board" }).click();
  await page.getByLabel("Name").fill("Gym");
  await page.getByRole("button", { name: "Add", exact: true }).click();
  const own = (await page.getByRole("link", { name: "open it on its screen" }).getAttribute("href"))!;
  await hall.goto(`${hall.url()}${own.slice(own.indexOf("?"))}`);

  // The crowd votes on a phone for its favourite, which is one of the awards.
  await page.getByRole("button", { name: "Open the vote" }).press("Enter");
  await page
    .getByRole("group", { name: "What Gym shows" })
    .getByRole("button", { name: "The crowd's vote" })
    .press("Enter");
  await expect(hall.getByText("0 votes so far")).toBeVisible();
  const address = new URL(`http://${await hall.getByText("/vote/").innerText()}`).pathname;
  const phone = await stranger(browser);
  await phone.setViewportSize({ width: 360, height: 740 });
  await phone.goto(`${demoUrl}${address.toLowerCase()}`);
  const favourite = phone.getByRole("radio", { name: teams[1] });
  await expect(favourite).toBeEnabled();
  await favourite.press(" ");
  await expect(favourite).toBeChecked();
  await phone.getByRole("button", { name: "Vote" }).press("Enter");
  await expect(phone.getByText(`Your vote for ${teams[1]} is counted.`)).toBeVisible();
  await expect(hall.getByText("1 vote so far")).toBeVisible();
  await page.getByRole("button", { name: "Close the vote" }).press("Enter");
  await expect(hall.getByText("The vote is closed. 1 vote.")).toBeVisible();

  await page.getByRole("button", { name: "Reveal the first award" }).press("Enter");
  await expect(hall.locator("section").filter({ hasText: "Favourite of the crowd" })).toContainText(teams[1]!);
  await page.goto(`${base}/contest/papers?what=results`);
  await expect(page.getByText(`Winner of ${race}:`)).toBeVisible();
  await expect(page.getByText(/^Favourite of the crowd:/)).toContainText(teams[1]!);
  for (const p of [page, hall, phone]) expect(await findings(p)).toEqual([]);
});
