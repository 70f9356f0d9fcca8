// A logger's file becomes a series, a rule takes its value, a part of it is chosen with a reason, and it is an attempt.
import { expect, test } from "@playwright/test";
import { begin, demoUrl, enter } from "./tools";

const logged = [
  "Chamber logger 7",
  "elapsed,vial (°C),battery",
  ...Array.from({ length: 601 }, (_, i) => `${i * 60},${i === 7 ? "n/a" : (4 + i / 100).toFixed(2)},3.1`),
].join("\n");

test("a logger's file is read, drawn, kept, and becomes an attempt", async ({ page }) => {
  await enter(page, "Mara");
  await page.goto(`${demoUrl}/p/cold-box/bench`);
  await page.getByRole("link", { name: "From a logger's file" }).click();
  await expect(page.getByRole("heading", { level: 1, name: "From a logger's file" })).toBeVisible();
  const file = page.getByLabel("The logger's file (CSV)");
  await expect(file).toBeEnabled();
  await file.setInputFiles({ name: "box.csv", mimeType: "text/csv", buffer: Buffer.from("nothing\nhere\n") });
  await expect(page.getByText("There are no two samples in these columns.")).toBeVisible();
  await file.setInputFiles({ name: "box.csv", mimeType: "text/csv", buffer: Buffer.from(logged) });
  await expect(page.getByText("600 samples over 36000 s.")).toBeVisible();
  await expect(page.getByText("line 10, “n/a” is no value")).toBeVisible();
  await expect(page.getByRole("img", { name: /^box.csv: 4\.000 to 10\.00 °C/ })).toBeVisible();
  await page.getByRole("button", { name: "Keep this series" }).click();

  await expect(page.getByRole("heading", { level: 1, name: /^Hold time/ })).toBeVisible();
  // 8 °C after 400 minutes: 6.667 h.
  const figure = page.locator("[data-figure]").first();
  await expect(figure).toHaveText("6.667 h");
  await figure.click();
  await expect(page.getByRole("dialog", { name: /Working/ })).toContainText("8.000 °C is passed from below");
  await page.keyboard.press("Escape");
  await page.getByLabel("Counts from (s)").fill("30000");
  await page.getByLabel("Why this part").fill("The door was open");
  await page.getByRole("button", { name: "This part counts" }).click();
  await expect(page.getByText("8.000 °C is passed already at the start.").first()).toBeVisible();
  await page.getByLabel("Counts from (s)").fill("1200");
  await page.getByRole("button", { name: "This part counts" }).click();
  await expect(page.getByText("of the part from 1200 s to 36000 s: The door was open")).toBeVisible();
  await begin(page, page.getByRole("button", { name: "Save as an attempt" }));
  await page.getByLabel("Warmest vial in °C").fill("warm");
  await page.getByRole("button", { name: "Save as an attempt" }).click();
  await expect(page.getByText("“warm” cannot be read").first()).toBeVisible();
  await page.getByLabel("Warmest vial in °C").fill("10.1");
  await page.getByRole("button", { name: "Save as an attempt" }).click();
  await expect(page.getByText(/is attempt \d/)).toBeVisible();
  await page.getByRole("link", { name: "Hold test" }).click();
  await expect(page.getByRole("cell", { name: "6.7" })).toBeVisible();
  await expect(page.getByText(/box\.csv/)).toBeVisible();
});
