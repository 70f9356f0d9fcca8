/** @jest-environment jsdom */
import { render, screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import * as yup from "yup";
import { ActionForm } from "./action-form";
import { MethodField } from "./method-field";

jest.mock("next/navigation", () => ({ useRouter: () => ({ refresh: () => {}, push: () => {} }) }));

const options = [
  { value: "best", label: "best of n: one good attempt shows what the design can do" },
  { value: "mean", label: "mean of n: every attempt matters" },
];

test("methods are rows with their reasons; a row is chosen by pointer and by arrow keys, and sent", async () => {
  const action = jest.fn(async () => ({ ok: true as const, value: null }));
  render(
    <ActionForm
      schema={yup.object({ method: yup.string().required() })}
      action={action}
      defaults={{ method: "best" }}
      submit="Save"
    >
      <MethodField name="method" label="Which attempt counts" options={options} />
    </ActionForm>,
  );
  const group = screen.getByRole("radiogroup", { name: "Which attempt counts" });
  expect(group.textContent).toContain("every attempt matters");
  const [best, mean] = screen.getAllByRole("radio");
  expect(best!.getAttribute("aria-checked")).toBe("true");
  await userEvent.click(screen.getByText("every attempt matters"));
  expect(mean!.getAttribute("aria-checked")).toBe("true");
  await userEvent.click(screen.getByRole("button", { name: "Save" }));
  await waitFor(() => expect(action).toHaveBeenCalled());
  expect((action.mock.calls[0] as unknown as [object])[0]).toEqual({ method: "mean" });
});
