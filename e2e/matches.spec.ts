// A double elimination in the browser: inspected, scored from a phone without a network too, corrected, on the board.
import { expect, type Page, test } from "@playwright/test";
import { demoUrl, enter, findings, focusOn, guestLink, passAll, stranger, tickCautions } from "./tools";

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
  // A judge measures the first by keyboard alone; the others pass with a reason.
  await page.getByRole("link", { name: "Inspection", exact: true }).click();
  await expect(page.getByRole("heading", { level: 1, name: "Inspection" })).toBeVisible();
  const sheet = page.getByRole("form", { name: /^Inspection of/ });
  const name = (await sheet.getAttribute("aria-label"))!.replace("Inspection of ", "");
  await sheet.getByLabel(/mass$/).fill("5.6 kg");
  await expect(sheet.getByText("0.6 kg over")).toBeVisible();
  await sheet.getByLabel(/mass$/).fill("heavy");
  await expect(sheet.getByText(/kg/).first()).toBeVisible();
  await page.reload();
  await expect(sheet.getByLabel(/mass$/)).toHaveValue("heavy");
  await sheet.getByLabel(/mass$/).fill("4.9 kg");
  await sheet.getByLabel(/mass$/).press("Enter");
  await page.keyboard.type("590 x 390 x 380 mm");
  await page.keyboard.press("Enter");
  for (const group of await sheet.getByRole("radiogroup").all()) {
    await focusOn(group.getByRole("radio").first());
    await page.keyboard.press("y");
  }
  const cost = sheet.getByLabel(/cost$/);
  if (!(await cost.inputValue())) await cost.fill("38");
  for (const [part, count] of [
    ["Valve", "2"],
    ["Hose", "1"],
    ["Electric motor", "0"],
  ] as const)
    await sheet.getByLabel(part).fill(count);
  await sheet.getByRole("button", { name: /^Pass/ }).press("Enter");
  await expect(page.getByRole("link", { name: `${name} passed` })).toBeVisible();
  await expect(page.getByText("It is impounded", { exact: false })).toBeVisible();
  expect(await findings(page)).toEqual([]);
  await passAll(page, `${demoUrl}/p/${slug}`);
  await open(page);
  await tickCautions(page, "Tank race", "Mara Okonedo");

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

  await page.getByRole("link", { name: "Board", exact: true }).click();
  await expect(page.getByRole("heading", { level: 1, name: /contest$/ })).toBeVisible();
  await expect(page.getByRole("img", { name: "Bracket of Tank race" })).toContainText(names[0]);
  await expect(page.getByText(/now: /)).toBeVisible();
  // Anybody who scores stops it; the reason stands on the board, and nothing is scored meanwhile.
  await open(page);
  await page.getByRole("button", { name: "Halt the event" }).click();
  await page.getByLabel(/^Why \(it stands on the board\)/).fill("A hose burst");
  await page.getByRole("button", { name: "Halt it now" }).click();
  const halted = page.getByRole("region", { name: "Tank race is halted" });
  await expect(halted.getByText("A hose burst")).toBeVisible();
  await expect(page.getByRole("button", { name: /has won$/ }).first()).toBeDisabled();
  const board = await page.context().newPage();
  await board.goto(`${demoUrl}/screen/${slug}`);
  // Also on a board that shows another event.
  await expect(board.getByText(/^Halted: .*A hose burst/)).toBeVisible();
  expect(await findings(board)).toEqual([]);
  await halted.getByLabel("What was done about it").fill("A new hose, looked at by two");
  await halted.getByRole("button", { name: "Go on" }).click();
  await expect(board.getByText(/^Halted:/)).toHaveCount(0);
  await expect(page.getByRole("button", { name: /has won$/ }).first()).toBeEnabled();
  await board.close();
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
  await phone.getByRole("link", { name: "Tank race" }).click();
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
  await page.getByRole("link", { name: "Two at a time, matches" }).click();
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
  const league = page.url();
  await passAll(page, `${demoUrl}/p/porch-hoist`);
  await page.goto(league);
  await tickCautions(page, "Hoist league", "Wim Achter");
  await page.getByRole("button", { name: "Drawn" }).first().press("Enter");
  await expect(page.getByText("1 match played, 9 to play")).toBeVisible();
  const points = page.getByRole("table", { name: "Standings" }).getByRole("row").filter({ hasText: "1" });
  expect(await points.count()).toBeGreaterThanOrEqual(2);
  expect(await findings(page)).toEqual([]);
});
