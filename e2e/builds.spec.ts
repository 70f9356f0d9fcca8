// Generations: what failed, what they are made of, what they were made from; pressed through in the browser.
import { expect, test } from "@playwright/test";
import { choose, demoUrl, enter, findings, focusOn } from "./tools";

test("a failure is pinned by keyboard, the next generation answers it, and the class sees both", async ({ page }) => {
  await enter(page, "Mara");
  const at = `${demoUrl}/p/terrace-pump/builds`;
  await page.goto(at);
  await page.getByRole("link", { name: "Alder G3" }).first().click();
  await page.getByRole("button", { name: "Record a failure" }).click();
  await page.getByRole("button", { name: "Save", exact: true }).click();
  await expect(page.getByText("This is needed.")).toBeVisible();
  await page.getByLabel("What failed").fill("The handle came off");
  await choose(page.getByRole("combobox", { name: "How much it matters" }), "danger");
  await expect(page.getByText("Stop using it and tell the instructor now")).toBeVisible();
  await choose(page.getByRole("combobox", { name: "Likely cause" }), { label: "another cause" });
  await page.getByLabel("Which cause").fill("Rust");
  await page.getByLabel("Next step").fill("A bolt through the handle");
  await choose(page.getByRole("combobox", { name: "On which photo" }), {
    label: "Alder, flap valve and longer stroke",
  });
  const photo = page.getByRole("button", { name: /Put a pin/ });
  await focusOn(photo);
  await page.keyboard.press("ArrowRight");
  await page.keyboard.press("Shift+ArrowDown");
  await expect(page.getByRole("button", { name: "Pin at 52 % from the left, 60 % from the top" })).toBeVisible();
  await page.getByRole("button", { name: "Save", exact: true }).click();
  await expect(page.getByText("danger · likely rust")).toBeVisible();

  await page.goto(at);
  await page.getByRole("link", { name: "Alder", exact: true }).click();
  await page.getByRole("link", { name: "Record a build", exact: true }).click();
  await page.getByLabel("What changed").fill("The handle bolted through");
  await page.getByRole("checkbox", { name: "The handle came off (G3)" }).click();
  await page.getByRole("button", { name: "also from another team's build" }).click();
  await page.getByRole("checkbox", { name: "Cistern G4" }).click();
  await page.getByLabel("Features that it does without, and why").fill("rubber flap valve");
  await page.getByRole("button", { name: "Record the build" }).click();
  await expect(page.getByText("Write one a line with its reason")).toBeVisible();
  await page.getByLabel("Features that it does without, and why").fill("rubber flap valve: sticks when dry");
  await page.getByLabel("Features", { exact: true }).fill("leather cup, long lever");
  await page.getByRole("button", { name: "Record the build" }).click();
  await expect(page.getByRole("heading", { level: 1, name: "Alder G4" })).toBeVisible();
  await expect(page.getByText("Alder G3, Cistern G4")).toBeVisible();
  await expect(page.getByText(/rubber flap valve \(sticks when dry\)/)).toBeVisible();

  await page.goto(`${at}/failures?team=`);
  await expect(page.getByRole("row", { name: /Alder G3 The handle came off.*rust.*G4/ })).toBeVisible();
  await page.getByRole("link", { name: "Family tree" }).click();
  const node = page.locator(".react-flow").getByRole("link", { name: /Alder G4/ });
  await expect(node).toContainText("not tested");
  await expect(page.getByRole("listitem").filter({ hasText: "Alder G4" })).toContainText(
    "from Alder G3 and Cistern G4",
  );
  await focusOn(node);
  await page.keyboard.press("Enter");
  await expect(page.getByRole("heading", { level: 1, name: "Alder G4" })).toBeVisible();
});

test("parts are listed by keyboard, taken over from the build before, and come to a sum that opens", async ({
  page,
}) => {
  await enter(page, "Mara");
  await page.goto(`${demoUrl}/p/terrace-pump/builds?team=`);
  await page.getByRole("link", { name: "Gully G2" }).first().click();
  await page.getByRole("link", { name: "list its parts" }).click();
  const name = page.getByLabel("Part", { exact: true });
  for (const [part, count, mass] of [
    ["Lever, pine", "1", "1 lb 2 oz"],
    ["Screws", "10", "4 g"],
  ] as const) {
    await name.fill(part);
    await page.keyboard.press("Tab");
    await page.keyboard.type(count);
    await page.keyboard.press("Tab");
    await page.keyboard.type(mass);
    await page.keyboard.press("Enter");
    await expect(page.getByRole("row", { name: new RegExp(`^${part}`) })).toBeVisible();
    await expect(name).toBeFocused();
  }
  expect(await findings(page)).toEqual([]);
  await page.getByRole("button", { name: /^0\.55/ }).press("w");
  await expect(page.getByRole("dialog")).toContainText("1 × Lever, pine");
  await page.keyboard.press("Escape");
});

test("what is looked at is entered for every team on one page, by a key or a number", async ({ page }) => {
  await enter(page, "Mara");
  await page.goto(`${demoUrl}/p/terrace-pump/needs`);
  await page.getByRole("link", { name: "Inspection", exact: true }).click();
  const cells = page.getByRole("table", { name: "Inspection" }).getByRole("textbox");
  await expect(cells.first()).toBeEnabled();
  await focusOn(cells.first());
  await page.keyboard.type("m\nn\nmaybe\n");
  await expect(page.getByText("saved: met")).toBeVisible();
  await expect(page.getByText("saved: not met")).toBeVisible();
  await expect(page.getByText("m is met, n not met, x does not apply.", { exact: true })).toBeVisible();
  await expect(cells.nth(16)).toHaveValue("maybe");
});
