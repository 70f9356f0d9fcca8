// Students on a phone, by keyboard where it can be: wishes, a vote, choosing a team, parts; and the calendar as an
// instructor keeps it.
import { type Browser, expect, type Page, test } from "@playwright/test";
import { choose, demoUrl, enter, findings, focusOn, stranger } from "./tools";

const go = (page: Page, path: string) => page.goto(`${demoUrl}/p/${path}`);
async function onPhone(browser: Browser, name: string): Promise<Page> {
  const page = await stranger(browser);
  await page.setViewportSize({ width: 390, height: 844 });
  await enter(page, name);
  return page;
}
const clean = async (page: Page) => {
  expect(await findings(page)).toEqual([]);
  expect(await page.evaluate(() => Math.max(0, document.documentElement.scrollWidth - innerWidth))).toBe(0);
};

test(
  "a class votes on phones; the running count is hidden until it is closed, and the result stands as " +
    "every concept's reason",
  async ({ page, browser }) => {
    await enter(page, "Mara");
    await go(page, "terrace-pump/concepts/choose");
    await page.getByLabel("Title").fill("Dearest two");
    await choose(page.getByLabel("School"), "vote");
    const all = page.getByRole("group", { name: "Concepts that stand" }).getByRole("checkbox");
    const n = await all.count();
    for (let i = 3; i < n; i++) await all.nth(i).uncheck();
    await page.getByLabel("How many go on").fill("2");
    await page.getByLabel("Votes each").fill("1");
    await page.getByRole("button", { name: "Open the selection" }).click();
    await expect(page.getByRole("heading", { level: 1, name: "Dearest two" })).toBeVisible();
    const [amara, greta] = [await onPhone(browser, "Amara Diallo"), await onPhone(browser, "Greta Malik")];
    await amara.getByRole("link", { name: "Vote for concepts" }).click();
    await expect(amara.getByText("Choose one")).toBeVisible();
    await expect(amara.getByRole("columnheader", { name: "Votes" })).toHaveCount(0);
    await clean(amara);
    await amara.getByRole("button", { name: "Hand in" }).click();
    await expect(amara.getByText("Give at least one vote.")).toBeVisible();
    const second = amara.getByRole("main").getByRole("checkbox").nth(1);
    await focusOn(second);
    await amara.keyboard.press("Space");
    await amara.getByRole("button", { name: "Hand in" }).press("Enter");
    await expect(amara.getByText("Handed in.")).toBeVisible();
    await greta.goto(page.url());
    await greta.getByRole("main").getByRole("checkbox").nth(1).check();
    await greta.getByRole("button", { name: "Hand in" }).click();
    await expect(greta.getByText("Handed in.")).toBeVisible();
    await expect(page.getByText("2 sheets in")).toBeVisible();
    await expect(page.getByRole("row").nth(1).getByRole("button", { name: "2", exact: true })).toBeVisible();
    await page.reload();
    const close = page.getByRole("button", { name: /^Close: / });
    await close.click();
    await page.getByRole("button", { name: "Yes, do it" }).click();
    await expect(page.getByText(/closed \d/)).toBeVisible();
    await greta.reload();
    await expect(greta.getByRole("columnheader", { name: "Votes" })).toBeVisible();
  },
);

test("students tell wishes, choose a team within its size, and share the parts; nobody sees another's wishes", async ({
  page,
  browser,
}) => {
  await enter(page, "Mara");
  const greta = await onPhone(browser, "Greta Malik");
  await go(greta, "terrace-pump/teams/wishes");
  await choose(greta.getByLabel("Add: People I work well with"), { label: "Wen Jiao" });
  await choose(greta.getByLabel("Add: People I work well with"), { label: "Priya Raman" });
  await greta.getByRole("button", { name: "up", exact: true }).click();
  await clean(greta);
  await greta.getByRole("button", { name: "Save my wishes" }).click();
  await expect(async () => {
    await greta.reload();
    await expect(greta.getByRole("listitem").filter({ hasText: "Priya Raman" }).first()).toContainText("1");
  }).toPass();
  const amara = await onPhone(browser, "Amara Diallo");
  await go(amara, "terrace-pump/teams/wishes");
  await expect(amara.getByRole("listitem").filter({ hasText: "Priya Raman" })).toHaveCount(0);
  expect((await go(amara, "terrace-pump/teams/form"))!.status()).toBe(404);
  await go(page, "terrace-pump/teams/form");
  await choose(page.getByLabel("How teams form"), "self");
  await page.getByRole("button", { name: "Save", exact: true }).first().click();
  await expect(page.getByText("Saved.").first()).toBeVisible();
  await go(greta, "terrace-pump/teams");
  await expect(greta.getByText("full").first()).toBeVisible();
  await greta.getByRole("button", { name: "Join", exact: true }).first().click();
  await expect(greta.getByText("Bramble · my team")).toBeVisible();
  await greta.getByRole("button", { name: "leave", exact: true }).click();
  await greta.getByRole("button", { name: "Yes, do it" }).click();
  await expect(greta.getByText("· my team")).toHaveCount(0);
  const downpour = greta
    .locator("div")
    .filter({ has: greta.getByText("Downpour", { exact: true }) })
    .last();
  await downpour.getByRole("button", { name: "Join", exact: true }).click();
  await expect(greta.getByText("Downpour · my team")).toBeVisible();
  await go(greta, "terrace-pump/teams/parts");
  await expect(greta.getByText("Greta Malik has", { exact: false }).first()).toBeVisible();
  await greta.getByText("Add a part").click();
  await greta.getByLabel("Part", { exact: true }).fill("Splash guard");
  await greta.getByRole("checkbox", { name: "Yuki Sorano" }).check();
  await greta.getByRole("button", { name: "Add part" }).click();
  await expect(greta.getByRole("row").filter({ hasText: "Splash guard" })).toContainText("Yuki Sorano");
  await choose(page.getByLabel("How teams form"), "idea");
  await page.getByRole("button", { name: "Save", exact: true }).first().click();
});

test(
  "a calendar file brings days off in after a look; a section's pattern changes its sessions; the " +
    "register comes in from a table",
  async ({ page }) => {
    await enter(page, "Mara");
    await go(page, "cold-box/plan/calendar");
    await expect(page.getByRole("heading", { name: /28 sessions/ })).toBeVisible();
    await page.getByLabel("Calendar file (ICS)").setInputFiles({
      name: "off.ics",
      mimeType: "text/calendar",
      buffer: Buffer.from(
        "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:x\r\nBEGIN:VEVENT\r\nUID:1\r\nSUMMARY:Spring " +
          "break\r\nDTSTART;VALUE=DATE:20270329\r\nDTEND;VALUE=DATE:20270403\r\nEND:VEVENT\r\n" +
          "BEGIN:VEVENT\r\nUID:2\r\nSUMMARY:Concert\r\nDTSTART:20270330T180000Z\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n",
      ),
    });
    await expect(page.getByText("entry 2 “Concert” is not a whole day")).toBeVisible();
    await page.getByRole("button", { name: "Take in 5 days off" }).click();
    await expect(page.getByRole("heading", { name: /26 sessions/ })).toBeVisible();
    await page.getByText("Change the pattern or this section's dates").click();
    await page.getByRole("group", { name: "Double period on" }).getByRole("checkbox", { name: "Fri" }).check();
    await page.getByRole("button", { name: "Save the pattern" }).click();
    await expect(page.getByRole("heading", { name: /Tue, Fri \(double\) · 39 sessions/ })).toBeVisible();
    await page.getByRole("group", { name: "Double period on" }).getByRole("checkbox", { name: "Fri" }).uncheck();
    await page.getByRole("button", { name: "Save the pattern" }).click();
    await expect(page.getByRole("heading", { name: /26 sessions/ })).toBeVisible();
    await go(page, "cold-box/needs/changes");
    const table = page.getByLabel("Table (CSV, or pasted from a spreadsheet)");
    await table.fill(
      "Statement,Priority,Measure,Comparator,Target,Unit,Verified by\nStacks two high,could,,,,,\nLight " +
        "when empty,should,mass,<=,2.5,kg,inspection",
    );
    await page.getByRole("button", { name: "Look at it" }).click();
    await expect(page.getByText("2 to add, 0 to change, 0 the same.")).toBeVisible();
    await page.getByRole("button", { name: "Write 2 requirements" }).click();
    await expect(page.getByText("2 requirements written.")).toBeVisible();
    await go(page, "cold-box/needs");
    await expect(page.getByRole("row").filter({ hasText: "Light when empty" })).toContainText("≤ 2.5 kg");
  },
);
