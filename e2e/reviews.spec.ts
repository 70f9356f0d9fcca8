// Reviews: a packet made from the record, a class of sheets by keys, reviewers compared, rubrics from the shelf.
import { readFileSync } from "node:fs";
import { expect, type Page, test } from "@playwright/test";
import { demoUrl, enter, findings, focusOn, guestLink, stranger } from "./tools";

const base = `${demoUrl}/p/terrace-pump/reviews`;
const heading = (page: Page, name: string | RegExp) =>
  expect(page.getByRole("heading", { name, level: 1 })).toBeVisible();
const openReview = async (page: Page, title: string, team: string) => {
  await page.goto(base);
  await page.getByRole("table", { name: title }).getByRole("link", { name: team }).click();
  await heading(page, new RegExp(team));
};

test("a packet is made from the record; the team picks and orders it, reviewers with a link read it", async ({
  page,
  browser,
}) => {
  await enter(page, "Ines Castellane");
  await openReview(page, "Final review, client present", "Alder");
  await page.getByRole("link", { name: "The packet" }).click();
  await heading(page, /Alder/);
  const part = (name: string | RegExp) => page.getByRole("region", { name });
  await expect(part(/^What was asked/)).toContainText("R-03");
  await expect(part(/^What changed/)).toContainText("since Test review");
  await expect(part(/^The client's wishes/)).toContainText("“I am not carrying a sack of cement.”");
  await expect(part(/^Generations/)).toContainText("best of the class");
  await expect(part(/^As proposed/).getByRole("img")).toHaveCount(2);
  expect(await findings(page)).toEqual([]);
  await page.getByRole("button", { name: "What is at risk: up" }).click();
  await page.getByRole("checkbox", { name: "The best evidence" }).click();
  const wishes = page
    .getByRole("listitem")
    .filter({ has: page.getByRole("button", { name: /^pick of the client's/ }) });
  await wishes.getByRole("button", { name: /^pick of the client's/ }).click();
  await wishes.getByRole("checkbox").last().click();
  await page.getByRole("button", { name: "Save the order" }).click();
  await expect(page.getByText("1 more on record, left out by the team.")).toBeVisible();
  await expect(part(/^The best evidence/)).toHaveCount(0);
  const order = await page.locator("h2[id^=packet-]").allInnerTexts();
  expect(order.findIndex((x) => x.startsWith("What is at risk"))).toBeLessThan(
    order.findIndex((x) => x.startsWith("What failed")),
  );
  // It is printed whole: no part is cut by a scrolling box.
  await page.emulateMedia({ media: "print" });
  expect((await page.pdf()).length).toBeGreaterThan(20_000);

  // Another team's packet is not there for her.
  const greta = await stranger(browser);
  await enter(greta, "Greta Malik");
  expect((await greta.request.get(page.url())).status()).toBe(404);

  const mara = await stranger(browser);
  await enter(mara, "Mara");
  const { url } = await guestLink(mara, "terrace-pump", "reviewer", "Reader of packets");
  const guest = await stranger(browser);
  await guest.goto(url);
  await guest.getByRole("button", { name: "Open" }).click();
  await guest.getByRole("link", { name: /Alder Final review/ }).click();
  await expect(guest.getByRole("region", { name: "What the team brings" })).toContainText("R-03");
  expect(await findings(guest)).toEqual([]);
});

test("the sheets of a class of eight take a digit a criterion, by keys alone", async ({ page }) => {
  await enter(page, "Mara");
  await page.goto(base);
  await page
    .locator("h2", { hasText: "Final review, client present" })
    .getByRole("link", { name: "my sheets for all teams" })
    .click();
  await heading(page, /Final review/);
  const first = page.getByLabel(/^Alder, /).first();
  await expect(first).toBeEnabled();
  await focusOn(first);
  const digits = "2332".repeat(8);
  expect(digits.length).toBeLessThan(50);
  await page.keyboard.type(digits);
  await expect(page.getByText("handed in", { exact: true })).toHaveCount(8);
  expect(await findings(page)).toEqual([]);
  // One is corrected: it is handed in again.
  const craft = page.getByLabel(/^Headrace, /).nth(1);
  await focusOn(craft);
  await page.keyboard.type("1");
  await expect(page.getByRole("row", { name: /^Headrace/ }).getByText("handed in")).toBeVisible();
  await page.reload();
  await expect(page.getByLabel(/^Headrace, /).nth(1)).toHaveValue("1");
});

test("reviewers are compared; a rubric comes from the shelf, from a spreadsheet, and goes out as CSV", async ({
  page,
}) => {
  await enter(page, "Mara");
  await page.goto(base);
  await page.getByRole("button", { name: "How the reviewers of Design review compare" }).click();
  await expect(page.getByRole("row", { name: /Engineer from the town/ })).toContainText("−24");
  await expect(page.getByText(/W = 0\.\d\d: they agree well/).first()).toBeVisible();
  expect(await findings(page)).toEqual([]);
  await page.getByRole("link", { name: "New rubric" }).click();
  await heading(page, "New rubric");
  await page.getByRole("button", { name: "Take a rubric from the shelf in place of this one" }).click();
  await page.getByRole("menuitem", { name: /^Reasons and records/ }).click();
  await expect(page.getByLabel("Criterion", { exact: true })).toHaveCount(3);
  await page.getByRole("button", { name: "from a spreadsheet" }).click();
  await page.getByLabel("Paste the rubric").fill("Criterion\tWeight\tLevel 1\tLevel 2\nCourage\t2\tnone\t3 great");
  await page.getByRole("button", { name: "Put it into the form" }).click();
  await expect(page.getByText("“none” does not")).toBeVisible();
  await page.getByLabel("Paste the rubric").fill("Criterion\tWeight\tLevel 1\tLevel 2\nCourage\t2\t0 none\t3 great");
  await page.getByRole("button", { name: "Put it into the form" }).click();
  await expect(page.getByLabel("Criterion", { exact: true })).toHaveValue("Courage");
  await page.getByRole("button", { name: "Save rubric" }).click();
  await heading(page, "Reviews");
  await page.getByRole("link", { name: /^Reasons and records/ }).click();
  await heading(page, /Reasons and records/);
  const download = page.waitForEvent("download");
  await page.getByRole("link", { name: "CSV" }).click();
  expect(readFileSync(await (await download).path(), "utf8")).toContain("Courage,2,0 none,3 great");
});
