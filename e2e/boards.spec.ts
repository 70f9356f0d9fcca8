// Boards: what a screen in the hall shows is chosen from the presenter's tablet; nothing private is on it.
import { expect, test } from "@playwright/test";
import { demoUrl, enter, findings, guestLink, stranger } from "./tools";

const slug = "terrace-pump";

test("a screen shows what the presenter presses: a pause, who is on, overall, the awards; light or dark", async ({
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

  // The screen comes back by itself when the network does, with what changed meanwhile.
  await screen.context().setOffline(true);
  await shows.getByRole("button", { name: "What runs" }).click();
  await expect(shows.getByRole("button", { name: "What runs" })).toHaveAttribute("aria-pressed", "true");
  await screen.context().setOffline(false);
  await expect(screen.getByRole("table")).toBeVisible();
  await page.getByRole("button", { name: "take out" }).click();
  await expect(shows).toHaveCount(0);
});
