/** @jest-environment jsdom */
// One line that an act asks for: it is needed, it stays until it was taken, and it is sent once.
import "../testing/browser";
import { act, render, screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { ReasonForm, UnfoldReason } from "./reason-form";

jest.mock("next/navigation", () => jest.requireActual("@/ui/testing/sent").navigation);

const open = (action: jest.Mock, more: object = {}) => {
  render(<ReasonForm action={action} input={{ id: "e" }} name="reason" label="Why" submit="Halt it" {...more} />);
  return screen.getByLabelText("Why");
};
const press = (name: string) => userEvent.click(screen.getByRole("button", { name }));

test("without the line nothing is sent, and the field says so", async () => {
  const action = jest.fn();
  const field = open(action);
  await userEvent.type(field, "   ");
  await press("Halt it");
  expect(screen.getByRole("status").textContent).toBe("This is needed.");
  expect(field.getAttribute("aria-invalid")).toBe("true");
  expect(action).not.toHaveBeenCalled();
});

test("Enter sends it once, as a guest where it is one's page", async () => {
  let done: (r: object) => void = () => {};
  const action = jest.fn((..._: unknown[]) => new Promise((r) => (done = r)));
  const heard = jest.fn();
  await userEvent.type(open(action, { via: "guest", onDone: heard }), " A hose burst {Enter}{Enter}");
  expect(action).toHaveBeenCalledTimes(1);
  expect(action.mock.calls[0]).toEqual([
    { id: "e", reason: "A hose burst" },
    { requestId: expect.any(String), via: "guest" },
  ]);
  await act(async () => done({ ok: true, value: null }));
  expect(heard).toHaveBeenCalledTimes(1);
});

test("what is refused is said, at the field where it is about the field; the line stays", async () => {
  const action = jest
    .fn()
    .mockResolvedValueOnce({ ok: false, kind: "refused", message: "It is halted already." })
    .mockResolvedValueOnce({ ok: false, kind: "invalid", message: "Look.", fields: { reason: "At most 200." } });
  const field = open(action);
  await userEvent.type(field, "x{Enter}");
  await waitFor(() => expect(screen.getByRole("status").textContent).toBe("It is halted already."));
  expect(field.getAttribute("aria-invalid")).toBe("false");
  await press("Halt it");
  await waitFor(() => expect(screen.getByRole("status").textContent).toBe("At most 200."));
  expect(field).toHaveProperty("value", "x");
});

test("behind a button it opens in place, closes when it was sent, and can be left", async () => {
  const action = jest.fn().mockResolvedValue({ ok: true, value: null });
  const says = { className: "", says: "set aside", label: "Set aside attempt 2" };
  render(
    <UnfoldReason button={says} action={action} input={{}} name="reason" label="Why" hideLabel submit="Set it aside" />,
  );
  await press("Set aside attempt 2");
  await press("Leave");
  await press("Set aside attempt 2");
  await userEvent.type(screen.getByLabelText("Why"), "dropped");
  await press("Set it aside");
  expect(await screen.findByRole("button", { name: "Set aside attempt 2" })).toBeTruthy();
  expect(action.mock.calls.map((c) => (c as unknown[])[0])).toEqual([{ reason: "dropped" }]);
});
