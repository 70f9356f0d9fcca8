// A judged event from its rules to the result: two judges with links of their own, by keyboard and on a phone.
import { expect, test } from "@playwright/test";
import { demoUrl, enter, findings, focusOn, guestLink, openEvent, stranger } from "./tools";

const slug = "porch-hoist";
const event = "Poster and talk";

test("judges mark by keyboard, one steps back, the severe one is adjusted for, and the result is confirmed", async ({
  page,
  browser,
}) => {
  await enter(page, "Mara");
  await page.goto(`${demoUrl}/p/${slug}/contest/event`);
  await page.getByRole("link", { name: "Marked by judges" }).click();
  await expect(page.getByRole("heading", { level: 1, name: "New judged event" })).toBeVisible();
  await page.getByLabel("Event", { exact: true }).fill(event);
  await page.getByLabel("What judges look at").first().fill("Clear to a stranger");
  await page.getByRole("button", { name: "add a criterion" }).click();
  await page.getByRole("button", { name: "Set up the event" }).click();
  await expect(page.getByText("This is needed", { exact: false }).first()).toBeVisible();
  await page.getByRole("button", { name: "Remove criterion 3" }).click();
  await page.getByRole("radio", { name: /^adjusted for severity/ }).click();
  await page.getByRole("button", { name: "Set up the event" }).click();
  await expect(page.getByRole("heading", { level: 1, name: event })).toBeVisible();
  const links = [await guestLink(page, slug, "judge", "Joiner"), await guestLink(page, slug, "judge", "Aunt")];
  const [joiner, aunt] = [await stranger(browser), await stranger(browser)];
  await aunt.setViewportSize({ width: 360, height: 740 });

  await openEvent(joiner, links[0]!, event);
  const teams = await joiner.getByRole("tab").allTextContents();
  expect(teams).toHaveLength(5);
  for (const [i] of teams.entries()) {
    // A digit marks and goes on to the next line; the last one goes on to the note.
    await focusOn(joiner.getByRole("tabpanel").getByRole("radio").first());
    await joiner.keyboard.press("2");
    await joiner.keyboard.press(String(i));
    await joiner.keyboard.press("Tab");
    await joiner.keyboard.press("Enter");
    await expect(joiner.getByText(/your sheet is saved/)).toBeVisible();
    await expect(joiner.getByRole("tab", { name: /marked/ })).toHaveCount(i + 1);
  }
  await expect(joiner.getByText(/You have marked every team/)).toBeVisible();

  await openEvent(aunt, links[1]!, event);
  await aunt.getByRole("button", { name: "Step back from this team" }).click();
  await aunt.getByLabel("Why").fill("My nephew is in it");
  await aunt.getByRole("button", { name: "Step back", exact: true }).click();
  await expect(aunt.getByText(/and that is saved/)).toBeVisible();
  for (let i = 1; i < teams.length; i++) {
    const panel = aunt.getByRole("tabpanel");
    await panel.getByRole("radiogroup").nth(0).getByRole("radio", { name: "5" }).click();
    await panel
      .getByRole("radiogroup")
      .nth(1)
      .getByRole("radio", { name: String(i) })
      .click();
    await panel.getByRole("button", { name: "Save the sheet" }).click();
    await expect(aunt.getByRole("tab", { name: /marked/ })).toHaveCount(i);
  }
  expect(await aunt.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(360);
  for (const p of [joiner, aunt]) expect(await findings(p)).toEqual([]);

  await page.goto(`${demoUrl}/p/${slug}/contest`);
  await page.getByRole("link", { name: event }).click();
  const judges = page.getByRole("table", { name: "Judges" });
  await expect(judges.getByRole("row", { name: /^Joiner .* below the average judge/ })).toBeVisible();
  await expect(judges.getByRole("row", { name: /^Aunt .* above the average judge/ })).toBeVisible();
  const first = page.getByRole("table", { name: "Standings" }).getByRole("row").nth(1);
  await expect(first).toContainText(teams.at(-1)!.trim());
  await first.getByRole("button").first().click();
  await expect(page.getByText(/as the average judge/).first()).toBeVisible();
  await page.keyboard.press("Escape");
  await page.getByRole("button", { name: "Confirm the result" }).click();
  await page.getByRole("button", { name: "Yes, do it" }).click();
  await expect(page.getByText(/· confirmed/)).toBeVisible();
  await page.goto(`${demoUrl}/p/${slug}/contest/overall`);
  await expect(page.getByText(`Best judged in ${event}`)).toBeVisible();
});
