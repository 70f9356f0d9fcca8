// Boards: what a screen in the hall shows is chosen from the presenter's tablet; nothing private is on it.
import { expect, test } from "@playwright/test";
import { demoUrl, enter, findings, guestLink, stranger } from "./tools";

const slug = "terrace-pump";

test("a screen shows what the presenter presses: a pause, who is on, overall, the crowd's vote; light or dark", async ({
  page,
  browser,
}) => {
  await enter(page, "Mara");
  const link = await guestLink(page, slug, "board", "Gym screen");
  await page.goto(`${demoUrl}/p/${slug}/contest/boards`);
  await page.getByRole("button", { name: "Add a board" }).click();
  await page.getByLabel("Name").fill("Gym");
  await page.getByLabel("Light, for a beamer in a bright room").check();
  await page.getByRole("button", { name: "Add", exact: true }).click();
  const shows = page.getByRole("group", { name: "What Gym shows" });
  await expect(shows).toBeVisible();
  const own = (await page.getByRole("link", { name: "open it on its screen" }).getAttribute("href"))!;
  const screen = await stranger(browser);
  await screen.goto(`${link.url}${own.slice(own.indexOf("?"))}`);
  await expect(screen.getByRole("heading", { level: 1, name: "Terrace Pump contest" })).toBeVisible();

  await page.getByLabel("What the pause says").fill("We go on at 14:10");
  await page.getByRole("button", { name: "Pause" }).press("Enter");
  await expect(screen.getByText("We go on at 14:10")).toBeVisible();
  await shows.getByRole("button", { name: "Overall" }).click();
  await expect(screen.getByRole("columnheader", { name: "Together" })).toBeVisible();
  await expect(shows.getByRole("button", { name: "Overall" })).toHaveAttribute("aria-pressed", "true");
  await shows.getByRole("button", { name: "Timed lift: who is on" }).click();
  await expect(screen.getByText(/^Timed lift/)).toBeVisible();
  await shows.getByRole("button", { name: "Tank race", exact: true }).click();
  await expect(screen.getByRole("img", { name: "Bracket of Tank race" })).toBeVisible();
  expect(await findings(screen)).toEqual([]);
  expect(await findings(page)).toEqual([]);

  // The crowd votes on its phones: the address stands on the board, for whom they voted nowhere before it is closed.
  await page.getByRole("button", { name: "Open the vote" }).click();
  await shows.getByRole("button", { name: "The crowd's vote" }).click();
  await expect(screen.getByText("0 votes so far")).toBeVisible();
  const address = new URL(`http://${await screen.getByText("/vote/").innerText()}`).pathname;
  const phone = await stranger(browser);
  await phone.setViewportSize({ width: 360, height: 740 });
  await phone.goto(`${demoUrl}${address.toLowerCase()}`);
  await phone.getByRole("radio", { name: "Gully" }).click();
  await phone.getByRole("button", { name: "Vote" }).press("Enter");
  await expect(phone.getByText("Your vote for Gully is counted.")).toBeVisible();
  await expect(screen.getByText("1 vote so far")).toBeVisible();
  await expect(screen.getByText("Gully")).toHaveCount(0);
  await phone.reload();
  await expect(phone.getByRole("radio", { name: "Gully" })).toBeChecked();
  expect(await phone.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(360);
  for (const p of [phone, screen, page]) expect(await findings(p)).toEqual([]);
  await page.getByRole("button", { name: "Close the vote" }).click();
  await expect(screen.getByText("The vote is closed. 1 vote.")).toBeVisible();
  await phone.getByRole("button", { name: "Vote" }).click();
  await expect(phone.getByText(/The vote is closed/)).toBeVisible();

  // The screen comes back by itself when the network does, with what changed meanwhile.
  await screen.context().setOffline(true);
  await shows.getByRole("button", { name: "What runs" }).click();
  await expect(shows.getByRole("button", { name: "What runs" })).toHaveAttribute("aria-pressed", "true");
  await screen.context().setOffline(false);
  await expect(screen.getByRole("table")).toBeVisible();
  await page.getByRole("button", { name: "take out" }).click();
  await expect(shows).toHaveCount(0);
});
