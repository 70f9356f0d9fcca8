/** @jest-environment jsdom */
// A protocol tried while it is written: the newest question's answer is shown, whatever comes back later.
import { act, render, screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { FormProvider, useForm } from "react-hook-form";
import { definition } from "@/stages/testing/definition";
import { tryProtocolAction } from "../actions";
import { typedProtocol } from "../view/protocol-form";
import type { Tried } from "../view/try";
import { ProtocolTry } from "./protocol-try";

jest.mock("../actions", () => ({ tryProtocolAction: jest.fn() }));
const ask = tryProtocolAction as unknown as jest.Mock;
const told = (more: Partial<Tried>): Tried => ({ problems: [], readings: {}, values: [], alarms: [], ...more });
const flow = (shown: string) => told({ values: [{ key: "Q", name: "Flow", shown, why: "" }] });

function Form() {
  const form = useForm({ defaultValues: typedProtocol(definition) as object });
  return (
    <FormProvider {...form}>
      <ProtocolTry projectId="p" example={{ m: "8" }} />
    </FormProvider>
  );
}
const wait = (ms: number) => act(() => jest.advanceTimersByTimeAsync(ms));
let user: ReturnType<typeof userEvent.setup>;
beforeEach(() => {
  jest.useFakeTimers();
  user = userEvent.setup({ advanceTimers: jest.advanceTimersByTime });
  ask.mockReset();
});
afterEach(() => jest.useRealTimers());

test("the example comes first; a quick hand asks once, when it rests", async () => {
  ask.mockResolvedValue(flow("8.02 L/min"));
  render(<Form />);
  await wait(600);
  expect(screen.getByText("8.02 L/min")).toBeTruthy();
  await user.type(screen.getByLabelText("Example of Collected"), ".65");
  await wait(600);
  expect(ask.mock.calls.map((c) => c[2])).toEqual([{ m: "8" }, { m: "8.65" }]);
  expect(ask.mock.calls[0]![1]).toMatchObject({ primary: "Q", measures: [{ key: "m" }] });
});

test("an answer that was overtaken is not shown", async () => {
  let slow: (t: Tried) => void = () => {};
  ask.mockReturnValueOnce(new Promise((done) => (slow = done))).mockResolvedValueOnce(flow("9.00 L/min"));
  render(<Form />);
  await wait(600);
  await user.type(screen.getByLabelText("Example of Collected"), ".9");
  await wait(600);
  await act(async () => slow(flow("1.00 L/min")));
  expect(screen.getByText("9.00 L/min")).toBeTruthy();
  expect(screen.queryByText("1.00 L/min")).toBeNull();
});

test("what is wrong is said: with the protocol, beside a reading, and where a value is odd", async () => {
  ask.mockResolvedValue(told({ problems: ["Flow: no."], readings: { m: "Write a mass." }, alarms: ["Check it."] }));
  render(<Form />);
  await wait(600);
  for (const words of ["Flow: no.", "Write a mass.", "Check it."]) expect(screen.getByText(words)).toBeTruthy();
  expect(screen.getByLabelText("Example of Collected").getAttribute("aria-invalid")).toBe("true");
});

test("without a network the form stays as it is", async () => {
  ask.mockRejectedValue(new Error("offline"));
  render(<Form />);
  await wait(600);
  expect(screen.getByRole("status").textContent).toBe("");
});
