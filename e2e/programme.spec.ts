// The programme of the day, by keyboard: when each team is on, who is wanted twice, and a time that is none.
import { expect, test } from "@playwright/test";
import { demoUrl, enter } from "./tools";

test("an event is moved: the turns follow, and who is wanted in two events is named", async ({ page }) => {
  await enter(page, "Mara");
  await page.goto(`${demoUrl}/p/terrace-pump/contest/programme`);
  const fill = page.locator("section", { has: page.getByRole("heading", { name: "Exact fill" }) });
  await expect(fill.getByText("10:40 to 11:44")).toBeVisible();
  await expect(fill.getByRole("listitem")).toHaveCount(16);
  await expect(page.getByText(/ is in Timed lift until /)).toHaveCount(0);
  const move = async (to: string) => {
    await fill.getByRole("button", { name: "Change" }).press("Enter");
    const begins = fill.getByLabel("Begins at");
    await begins.fill(to);
    await begins.press("Enter");
  };
  await move("9:77");
  await expect(fill.getByText("Write a time of the day, like 9:30.").first()).toBeVisible();
  await fill.getByLabel("Begins at").fill("9:20");
  await fill.getByLabel("Begins at").press("Enter");
  await expect(fill.getByText("9:20 to 10:24")).toBeVisible();
  await expect(page.getByText(/ is in Timed lift until /)).toBeVisible();
  await move("10:40");
  await expect(fill.getByText("10:40 to 11:44")).toBeVisible();
});
