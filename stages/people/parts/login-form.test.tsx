/** @jest-environment jsdom */
// A student's first password: it is shown once, so it must not go before somebody has read it.
import { render, screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { LoginForm } from "./login-form";
import { SectionLogins } from "./section-logins";

jest.mock("next/navigation", () => ({ useRouter: () => ({ refresh: () => {} }) }));
const slip = { name: "Ada Quill", section: "3", signIn: "ada.quill", password: "heron-mill-42" };
jest.mock("../actions", () => ({
  giveLoginAction: async () => ({ ok: true, value: slip }),
  giveLoginsAction: async () => ({
    ok: true,
    value: { slips: [slip, { ...slip, name: "Ben Stone", signIn: "ben.stone", password: "reed-2" }] },
  }),
}));

const id = "0198c0de-0000-7000-8000-000000000001";
const form = (hasLogin: boolean) => (
  <LoginForm projectId={id} personId={id} loginName="" email="ada@hartsedge.example" hasLogin={hasLogin} />
);

test("the first password stays when the row behind it is loaded again", async () => {
  const { rerender } = render(form(false));
  await userEvent.click(screen.getByRole("button", { name: "give a login" }));
  await userEvent.click(screen.getByRole("button", { name: "Make a password" }));
  expect(await screen.findByText("heron-mill-42")).toBeTruthy();
  rerender(form(true));
  expect(screen.getByText("heron-mill-42")).toBeTruthy();
});

test("who signs in already shows the name, and can be given a new password", async () => {
  render(form(true));
  expect(screen.getByText("ada@hartsedge.example")).toBeTruthy();
  await userEvent.click(screen.getByRole("button", { name: "new password" }));
  await userEvent.click(screen.getByRole("button", { name: "Make a new password" }));
  expect(await screen.findByText("heron-mill-42")).toBeTruthy();
});

describe("logins of a section", () => {
  const sections = [
    { id: "a", name: "3", without: 2 },
    { id: "b", name: "5", without: 1 },
    { id: "c", name: "7", without: 0 },
  ];
  test("are made by one press each or one for all; the slips stay until they are closed", async () => {
    const { rerender } = render(<SectionLogins projectId={id} sections={sections} />);
    expect(screen.getByText("3 students have no login yet.")).toBeTruthy();
    expect(screen.getAllByRole("button").map((b) => b.textContent)).toEqual([
      "Make 2 for section 3",
      "Make 1 for section 5",
      "Make all 3",
    ]);
    await userEvent.click(screen.getByRole("button", { name: "Make all 3" }));
    expect(await screen.findByText("reed-2")).toBeTruthy();
    rerender(<SectionLogins projectId={id} sections={[]} />);
    expect(screen.getByText("heron-mill-42")).toBeTruthy();
    await userEvent.click(screen.getByRole("button", { name: "Close" }));
    expect(screen.queryByText("heron-mill-42")).toBeNull();
  });
});
