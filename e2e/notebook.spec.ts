// Notebooks as an instructor reads them: unread by one key, a remark that its student finds under the entry.
import { expect, test } from "@playwright/test";
import { demoUrl, enter, findings, stranger } from "./tools";

const base = `${demoUrl}/p/terrace-pump/notebook`;

test("unread entries are read by one key; a remark reaches the student; an amendment is unread again", async ({
  page,
  browser,
}) => {
  const ines = await stranger(browser);
  await ines.setViewportSize({ width: 390, height: 844 });
  await enter(ines, "Ines Castellane");
  await ines.goto(base);
  await ines.getByRole("button", { name: "begin with goal, did, saw, next" }).click();
  await expect(ines.getByLabel("Today's entry")).toHaveValue(/^Goal: \nDid: /);
  await expect(ines.getByRole("button", { name: "Write it into the notebook" })).toBeDisabled();
  const words = "Goal: less force. Did: moved the pivot. Saw: 38 N. Next: a longer handle.";
  await ines.getByLabel("Today's entry").fill(words);
  await ines.getByRole("button", { name: "Write it into the notebook" }).click();
  await expect(ines.getByRole("article").filter({ hasText: words })).toBeVisible();

  await enter(page, "Mara");
  await page.goto(base);
  const choice = page.getByRole("navigation", { name: "Which entries" });
  await choice.getByRole("link", { name: /^unread: \d+$/ }).click();
  await expect(page).toHaveURL(/unread=1/);
  const unread = page.locator("[data-unread]");
  const before = await unread.count();
  expect(before).toBeGreaterThan(1);
  expect(await findings(page)).toEqual([]);
  await page.keyboard.press("n");
  await expect(unread.first()).toBeFocused();
  await page.keyboard.press("n");
  await expect(unread).toHaveCount(before - 1);
  const entry = unread.filter({ hasText: words });
  await entry.getByRole("button", { name: "remark" }).click();
  await entry.getByLabel("Remark").fill("How did you measure the 38 N?");
  await entry.getByRole("button", { name: "Say it to the student" }).click();
  await expect(entry.getByText("How did you measure the 38 N?")).toBeVisible();
  // Taken back, and brought back.
  await entry.getByRole("button", { name: "withdraw" }).click();
  await expect(entry.getByText("How did you measure the 38 N?")).toHaveCount(0);
  await page.getByRole("button", { name: "Bring it back" }).click();
  await expect(entry.getByText("How did you measure the 38 N?")).toBeVisible();
  await entry.getByRole("button", { name: "read", exact: true }).click();
  await expect(unread).toHaveCount(before - 2);

  await ines.reload();
  const own = ines.getByRole("article").filter({ hasText: "moved the pivot" });
  await expect(own).toContainText("How did you measure the 38 N?");
  await own.getByRole("button", { name: "amend" }).click();
  await own.getByLabel("Entry").fill(`${words} Measured with the luggage scale.`);
  await own.getByLabel("Why it is amended").fill("asked");
  await own.getByRole("button", { name: "Amend", exact: true }).click();
  await expect(own).toContainText("luggage scale");
  expect(await findings(ines)).toEqual([]);
  await page.reload();
  await expect(unread.filter({ hasText: "luggage scale" })).toContainText("amended since");
});
