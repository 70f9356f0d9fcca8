// Logins for a whole class, on a student's phone, and a password of one's own.
import { expect, test } from "@playwright/test";
import { demoUrl, enter, stranger } from "./tools";

test("a class gets its logins in three clicks; a student signs in by name and chooses a password", async ({
  page,
  browser,
}) => {
  await enter(page, "Mara");
  await page.goto(`${demoUrl}/p/terrace-pump/people`);
  await page.getByRole("button", { name: /^Make (all|it)/ }).click();
  const slips = page.getByRole("region", { name: "New logins" });
  await expect(slips.getByRole("button", { name: "Print slips" })).toBeVisible();
  const first = slips.getByRole("listitem").first();
  const [name, password] = await Promise.all([1, 2].map((i) => first.locator("dd").nth(i).innerText()));
  // On paper the slips stand alone.
  await page.emulateMedia({ media: "print" });
  await expect(page.getByRole("heading", { name: "People" })).toBeHidden();
  await expect(first).toBeVisible();
  await page.emulateMedia({ media: "screen" });
  const phone = await stranger(browser);
  await phone.setViewportSize({ width: 390, height: 844 });
  const signIn = async (secret: string) => {
    await phone.goto(`${demoUrl}/sign-in`);
    await phone.getByRole("button", { name: "With email and password" }).click();
    await phone.getByLabel("Email or sign-in name").fill(name!);
    await phone.getByLabel("Password").fill(secret);
    await phone.getByRole("button", { name: "Sign in", exact: true }).click();
  };
  await signIn(password!);
  await phone.waitForURL(`${demoUrl}/`);
  await phone.goto(`${demoUrl}/account`);
  await phone.getByLabel("Password now").fill("wrong");
  await phone.getByLabel("New password").fill("a quiet green boat");
  await phone.getByRole("button", { name: "Change the password" }).click();
  await expect(phone.getByText("This is not your password now.").first()).toBeVisible();
  await phone.getByLabel("Password now").fill(password!);
  await phone.getByRole("button", { name: "Change the password" }).click();
  await expect(phone.getByText("Changed. Your other devices are signed out.")).toBeVisible();
  expect(await phone.evaluate(() => Math.max(0, document.documentElement.scrollWidth - innerWidth))).toBe(0);
  await phone.context().clearCookies();
  await signIn(password!);
  await expect(phone.getByText("do not belong together")).toBeVisible();
  await signIn("a quiet green boat");
  await phone.waitForURL(`${demoUrl}/`);
});
