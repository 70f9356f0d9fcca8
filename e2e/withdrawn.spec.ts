// What was entered is put right: taken out and brought back, corrected, merged, archived.
import { expect, test } from "@playwright/test";
import { choose, demoUrl, enter } from "./tools";

test("a build is withdrawn with its runs and brought back; a student is corrected, leaves and comes again", async ({
  page,
}) => {
  await enter(page, "Mara");
  const at = (path: string) => page.goto(`${demoUrl}/p/terrace-pump${path}`);
  await at("/builds");
  await page.getByRole("link", { name: "Cistern G3" }).first().click();
  await page.getByRole("button", { name: "Withdraw", exact: true }).click();
  const dialog = page.getByRole("alertdialog");
  await expect(dialog.getByRole("button", { name: "Withdraw it" })).toBeDisabled();
  await dialog.getByLabel("Why? The record keeps this.").fill("Recorded twice");
  await dialog.getByRole("button", { name: "Withdraw it" }).click();
  await page.waitForURL(/\/builds$/);
  // From the notice at once, or later from the list.
  await page.getByRole("button", { name: "Bring it back" }).click();
  await expect(page.getByRole("link", { name: "Cistern G3" }).first()).toBeVisible();
  await at("/plan");
  await page.getByRole("button", { name: "remove" }).first().click();
  await expect(page.getByRole("button", { name: "Bring it back" })).toBeVisible();
  await at("/records/withdrawn");
  const row = page.getByRole("row", { name: /Interview the client/ });
  await expect(row).toContainText("task");
  await row.getByRole("button", { name: "Bring back" }).click();
  await expect(page.getByRole("row", { name: /Interview the client/ })).toHaveCount(0);

  await at("/people");
  await page.getByRole("button", { name: "Add one student" }).click();
  await page.getByLabel("Name", { exact: true }).first().fill("Amara Diallo");
  await page.getByRole("button", { name: "Add", exact: true }).click();
  await expect(page.getByText(/is in section 3 already/).first()).toBeVisible();
  await page.getByLabel("Somebody else of the same name is in the section").click();
  await page.getByRole("button", { name: "Add", exact: true }).click();
  const twins = page.getByRole("row", { name: /Amara Diallo/ });
  await expect(twins).toHaveCount(2);
  const twin = twins.filter({ hasNotText: "Cistern" });
  await twin.getByRole("button", { name: "correct" }).click();
  await page.getByLabel("Name", { exact: true }).first().fill("Amara Diallo B");
  await choose(page.getByRole("combobox", { name: "Section" }).first(), { label: "5" });
  await page.getByRole("button", { name: "Save", exact: true }).click();
  const moved = page.getByRole("row", { name: /Amara Diallo B 5/ });
  await expect(moved).toBeVisible();
  await moved.getByRole("button", { name: /^More for/ }).click();
  await page.getByRole("menuitem", { name: "Leaves the section" }).click();
  await page.getByRole("button", { name: "Yes, do it" }).click();
  await page.getByRole("button", { name: /take in again.*Amara Diallo B/ }).click();
  await expect(moved).toBeVisible();
  // It was one student after all.
  const first = page.getByRole("row", { name: /Amara Diallo 3 Cistern/ });
  await first.getByRole("button", { name: /^More for/ }).click();
  await page.getByRole("menuitem", { name: /^Merge/ }).click();
  await choose(page.getByLabel(/Which other record/), { label: "Amara Diallo B, section 5" });
  await page.getByRole("button", { name: "Make them one" }).click();
  await expect(moved).toHaveCount(0);
  await expect(first).toBeVisible();
});
