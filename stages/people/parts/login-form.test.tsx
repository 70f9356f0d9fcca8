/** @jest-environment jsdom */
// A student's first password: it is shown once, so it must not go before somebody has read it.
import { render, screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { LoginForm } from "./login-form";

jest.mock("next/navigation", () => ({ useRouter: () => ({ refresh: () => {} }) }));
jest.mock("../actions", () => ({ giveLoginAction: async () => ({ ok: true, value: { password: "heron-mill-42" } }) }));

const id = "0198c0de-0000-7000-8000-000000000001";
const form = (hasLogin: boolean) => (
  <LoginForm projectId={id} personId={id} email="ada@hartsedge.example" hasLogin={hasLogin} />
);

test("the first password stays when the row behind it is loaded again", async () => {
  const { rerender } = render(form(false));
  await userEvent.click(screen.getByRole("button", { name: "give a login" }));
  await userEvent.click(screen.getByRole("button", { name: "Make a password" }));
  expect(await screen.findByText("heron-mill-42")).toBeTruthy();
  rerender(form(true));
  expect(screen.getByText("heron-mill-42")).toBeTruthy();
});

test("who signs in already shows the address alone", () => {
  render(form(true));
  expect(screen.getByText("ada@hartsedge.example")).toBeTruthy();
  expect(screen.queryByRole("button")).toBeNull();
});
