// A double elimination in the browser: inspected, scored from a phone without a network too, corrected, on the board.
import { expect, type Page, test } from "@playwright/test";
import { demoUrl, enter, findings, guestLink, stranger } from "./tools";

const slug = "terrace-pump";

/** Opens the tank race of this year. */
async function open(page: Page): Promise<void> {
  await page.goto(`${demoUrl}/p/${slug}/contest/matches`);
  await expect(page.getByRole("heading", { level: 1, name: "Tank race" })).toBeVisible();
}

test("inspection, a match by one press, a walkover, and a correction that says what it makes void", async ({
  page,
}) => {
  await enter(page, "Mara");
  await open(page);
  await expect(page.getByRole("img", { name: /^Bracket of Tank race/ })).toBeVisible();
  const inspect = page
    .getByRole("list")
    .filter({ has: page.getByRole("button", { name: /^Pass/ }) })
    .first();
  for (let left = await inspect.getByRole("button", { name: "Pass", exact: true }).count(); left > 0; left--) {
    await inspect.getByRole("button", { name: "Pass", exact: true }).first().click();
    await expect(inspect.getByRole("button", { name: "Pass", exact: true })).toHaveCount(left - 1);
  }
  // Who is over a limit passes only with the reason.
  await inspect.getByRole("button", { name: "Pass with a waiver" }).first().click();
  await page.getByLabel(/why it may start all the same/).fill("The client asked to see it run");
  await page.getByRole("button", { name: "Save", exact: true }).click();
  await expect(page.getByText("passed: The client asked to see it run")).toBeVisible();
  expect(await findings(page)).toEqual([]);

  const match = (i: number) => page.getByRole("region", { name: /^round 1: / }).nth(i);
  const names = (
    await match(0)
      .getByRole("button", { name: /has won$/ })
      .allInnerTexts()
  ).map((t) => t.replace(" has won", "")) as [string, string];
  await match(0)
    .getByRole("button", { name: `${names[1]} has won` })
    .click();
  await expect(page.getByText(new RegExp(`^${names[0]} has lost once, to ${names[1]} in round 1`))).toBeVisible();
  // The next one is a walkover, written with its reason.
  const absent = page.getByRole("region", { name: /^round 1: / }).first();
  const second = (await absent.getByRole("button", { name: /has won$/ }).allInnerTexts()).map((t) =>
    t.replace(" has won", ""),
  ) as [string, string];
  await absent.getByRole("button", { name: "not played out" }).click();
  await absent.getByLabel("Why").fill("Late bus");
  await absent.getByRole("button", { name: "Record it" }).click();
  await expect(page.getByText(new RegExp(`${second[0]} against ${second[1]}, walkover`))).toBeVisible();
  // Both winners meet in round 2.
  const later = page.getByRole("region", { name: /^round 2: / });
  await later.getByRole("button", { name: `${names[1]} has won` }).click();
  await expect(page.getByText(new RegExp(`^${names[1]} has not lost`))).toBeVisible();

  await page.getByRole("button", { name: new RegExp(`^Correct round 1, ${names[0]} and ${names[1]}`) }).click();
  const form = page.locator("form", { has: page.getByLabel("Why it is corrected") });
  await expect(
    form.getByText(`Not counted any more, and kept on record: ${names[1]} against ${second[0]}`),
  ).toBeVisible();
  await form.getByRole("button", { name: "Correct it" }).click();
  await expect(form.getByText("Say why it is corrected.").first()).toBeVisible();
  await form.getByLabel("Why it is corrected").fill("The lanes were named the wrong way round");
  await form.getByRole("button", { name: "Correct it" }).click();
  await expect(page.getByText(new RegExp(`^${names[1]} has lost once, to ${names[0]} in round 1`))).toBeVisible();
  await expect(page.getByRole("region", { name: new RegExp(`^round 2: ${names[0]} against`) })).toBeVisible();

  await page.getByRole("link", { name: "Board" }).click();
  await expect(page.getByRole("heading", { level: 1, name: /contest$/ })).toBeVisible();
  await expect(page.getByRole("img", { name: "Bracket of Tank race" })).toContainText(names[0]);
  await expect(page.getByText(/now: /)).toBeVisible();
});

test("a scorer on a phone: the result waits without a network, and is there once when it is back", async ({
  page,
  browser,
}) => {
  await enter(page, "Mara");
  const { url, pin } = await guestLink(page, slug, "scorer", "Tanks");
  const phone = await stranger(browser);
  await phone.setViewportSize({ width: 360, height: 700 });
  await phone.goto(url);
  await phone.getByLabel("PIN").fill(pin!);
  await phone.getByRole("button", { name: "Open" }).click();
  await expect(phone.getByRole("heading", { level: 1, name: "Tank race" })).toBeVisible();
  expect(await phone.evaluate(() => document.documentElement.scrollWidth - innerWidth)).toBe(0);
  const match = phone.getByRole("region", { name: /^round 1: / }).first();
  const label = (await match.getAttribute("aria-label"))!;
  const won = match.getByRole("button", { name: /has won$/ }).first();
  const winner = (await won.innerText()).replace(" has won", "");
  await expect(won).toBeEnabled();
  await phone.context().setOffline(true);
  await won.click();
  await expect(match.getByText("this result waits and is sent by itself")).toBeVisible();
  await phone.context().setOffline(false);
  await expect(phone.getByRole("region", { name: label, exact: true })).toHaveCount(0);
  await open(page);
  const loser = label
    .slice("round 1: ".length)
    .split(" against ")
    .find((t) => t !== winner)!;
  await expect(page.getByText(new RegExp(`^${loser} has lost once, to ${winner} in round 1`))).toBeVisible();
});

test("a league set up by keyboard: what is wrong stands beside its field, seeds by hand, a drawn match", async ({
  page,
}) => {
  await enter(page, "Mara");
  await page.goto(`${demoUrl}/p/porch-hoist/contest/event`);
  await page.getByRole("link", { name: "Two at a time instead: matches" }).click();
  await expect(page.getByRole("heading", { level: 1, name: "New event of matches" })).toBeVisible();
  await page.getByRole("radio", { name: /^the best of several games/ }).click();
  await page.getByLabel("At most so many games").fill("4");
  await page.getByLabel("Event", { exact: true }).fill("Hoist league");
  await page.getByLabel("Event", { exact: true }).press("Enter");
  await expect(page.getByText("An odd number of games, so that somebody wins: 3, 5 or 7.")).toBeVisible();
  await page.getByRole("radio", { name: /^round robin/ }).click();
  await page.getByRole("radio", { name: /^the judges' call/ }).click();
  await page.getByRole("button", { name: "Set up the event" }).click();
  await expect(page.getByRole("heading", { level: 1, name: "Hoist league" })).toBeVisible();
  await page.getByRole("button", { name: "seed by hand" }).click();
  for (const box of await page.getByRole("checkbox").all()) await box.press("Space");
  await page.getByRole("button", { name: "Seed in this order" }).click();
  await expect(page.getByText("0 matches played, 10 to play")).toBeVisible();
  for (let left = await page.getByRole("button", { name: "Pass", exact: true }).count(); left > 0; left--) {
    await page.getByRole("button", { name: "Pass", exact: true }).first().press("Enter");
    await expect(page.getByRole("button", { name: "Pass", exact: true })).toHaveCount(left - 1);
  }
  await page.getByRole("button", { name: "Drawn" }).first().press("Enter");
  await expect(page.getByText("1 match played, 9 to play")).toBeVisible();
  const points = page.getByRole("table", { name: "Standings" }).getByRole("row").filter({ hasText: "1" });
  expect(await points.count()).toBeGreaterThanOrEqual(2);
  expect(await findings(page)).toEqual([]);
});
