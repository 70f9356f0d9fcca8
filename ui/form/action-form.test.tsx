/** @jest-environment jsdom */
// The one form: what is typed is kept whatever the server answers, it is sent once, and a retry is the same request.
import { render, screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import * as yup from "yup";
import { ActionForm } from "./action-form";
import { TextField } from "./fields";
import { UnfoldForm } from "./unfold-form";

const refresh = jest.fn();
const push = jest.fn();
jest.mock("next/navigation", () => ({ useRouter: () => ({ refresh, push }) }));

const schema = yup.object({ name: yup.string().trim().required("Give it a name."), version: yup.number().required() });
type Answer = Awaited<ReturnType<Parameters<typeof ActionForm>[0]["action"]>>;

function open(action: jest.Mock) {
  render(
    <ActionForm schema={schema} action={action} fixed={{ version: 3 }} defaults={{ name: "" }} submit="Save">
      <TextField name="name" label="Name" />
    </ActionForm>,
  );
  return { field: screen.getByLabelText("Name"), save: screen.getByRole("button", { name: "Save" }) };
}
const requestsOf = (action: jest.Mock) => action.mock.calls.map((c) => (c[1] as { requestId: string }).requestId);

beforeEach(() => jest.clearAllMocks());

test("what the schema refuses is said beside the field and not sent", async () => {
  const action = jest.fn();
  const { save } = open(action);
  await userEvent.click(save);
  expect(await screen.findByText("Give it a name.")).toBeTruthy();
  expect(action).not.toHaveBeenCalled();
});

test("what is sent is what is typed with what is fixed; the page loads once", async () => {
  const action = jest.fn(async (): Promise<Answer> => ({ ok: true, value: null }));
  const { field, save } = open(action);
  await userEvent.type(field, "Alder");
  await userEvent.click(save);
  await waitFor(() => expect(refresh).toHaveBeenCalledTimes(1));
  expect(action.mock.calls.map((c) => (c as unknown[])[0])).toEqual([{ name: "Alder", version: 3 }]);
});

test("a double click sends once", async () => {
  let answer: (a: Answer) => void = () => {};
  const action = jest.fn(() => new Promise<Answer>((r) => (answer = r)));
  const { field, save } = open(action);
  await userEvent.type(field, "Alder");
  await userEvent.dblClick(save);
  expect(action).toHaveBeenCalledTimes(1);
  answer({ ok: true, value: null });
  await waitFor(() => expect(refresh).toHaveBeenCalled());
  expect(screen.getByRole("status").textContent).toBe("");
});

test("without an answer the text stays, and sending again is the same request", async () => {
  const action = jest.fn().mockRejectedValueOnce(new Error("offline")).mockResolvedValueOnce({ ok: true, value: null });
  const { field, save } = open(action);
  await userEvent.type(field, "Alder");
  await userEvent.click(save);
  expect(await screen.findByText(/The network did not answer/)).toBeTruthy();
  expect((field as HTMLInputElement).value).toBe("Alder");
  await userEvent.click(save);
  await waitFor(() => expect(refresh).toHaveBeenCalled());
  const [first, second] = requestsOf(action);
  expect(first).toBe(second);
});

test("a conflict shows both values; saving over it sends the newer version", async () => {
  const fields = [{ field: "name", label: "Name", yours: "Alder", theirs: "Birch" }];
  const action = jest
    .fn()
    .mockResolvedValueOnce({ ok: false, kind: "conflict", message: "Somebody else changed this.", version: 4, fields })
    .mockResolvedValueOnce({ ok: true, value: null });
  const { field, save } = open(action);
  await userEvent.type(field, "Alder");
  await userEvent.click(save);
  expect(await screen.findByText("Birch")).toBeTruthy();
  expect((field as HTMLInputElement).value).toBe("Alder");
  await userEvent.click(screen.getByRole("button", { name: "Save mine over theirs" }));
  await waitFor(() => expect(refresh).toHaveBeenCalled());
  expect((action.mock.calls[1] as [{ version: number }])[0].version).toBe(4);
  expect(new Set(requestsOf(action)).size).toBe(2);
});

test("what is typed stays when a newer version comes, and is sent against the one it was begun on", async () => {
  const action = jest.fn(async (): Promise<Answer> => ({ ok: true, value: null }));
  const form = (version: number, name: string) => (
    <ActionForm
      schema={yup.object({ marks: yup.array() })}
      action={action}
      fixed={{ version }}
      defaults={{ name }}
      shape={(v, begun) => ({ marks: [{ typed: v.name, version: begun.version }] })}
      submit="Save"
      saved="Kept."
    >
      <TextField name="name" label="Name" />
    </ActionForm>
  );
  const { rerender } = render(form(3, "Alder"));
  const field = () => screen.getByLabelText<HTMLInputElement>("Name").value;
  rerender(form(4, "Birch"));
  expect(field()).toBe("Birch");
  await userEvent.type(screen.getByLabelText("Name"), " twice");
  rerender(form(5, "Cedar"));
  expect(field()).toBe("Birch twice");
  await userEvent.click(screen.getByRole("button", { name: "Save" }));
  await waitFor(() => expect(screen.getByText("Kept.")).toBeTruthy());
  expect(action.mock.calls.map((c) => (c as unknown[])[0])).toEqual([
    { version: 4, marks: [{ typed: "Birch twice", version: 4 }] },
  ]);
  rerender(form(6, "Birch twice"));
  expect(screen.getByText("Kept.")).toBeTruthy();
});

test("saving over somebody else's sends the newer version inside what is shaped too", async () => {
  const action = jest
    .fn()
    .mockResolvedValueOnce({
      ok: false,
      kind: "conflict",
      message: "Somebody else changed this.",
      version: 7,
      fields: [],
    })
    .mockResolvedValueOnce({ ok: true, value: null });
  render(
    <ActionForm
      schema={yup.object({ marks: yup.array() })}
      action={action}
      fixed={{ version: 3 }}
      defaults={{ name: "Alder" }}
      shape={(v, begun) => ({ marks: [{ typed: v.name, version: begun.version }] })}
      submit="Save"
    >
      <TextField name="name" label="Name" />
    </ActionForm>,
  );
  await userEvent.click(screen.getByRole("button", { name: "Save" }));
  await userEvent.click(await screen.findByRole("button", { name: "Save mine over theirs" }));
  await waitFor(() => expect(refresh).toHaveBeenCalled());
  expect(action.mock.calls.map((c) => (c as [{ marks: { version: number }[] }])[0].marks[0]!.version)).toEqual([3, 7]);
});

test("a form behind a button keeps what is typed when a newer version comes, and closes once saved", async () => {
  const action = jest.fn(async (): Promise<Answer> => ({ ok: true, value: null }));
  const form = (version: number, name: string) => (
    <UnfoldForm label="rename" schema={schema} action={action} fixed={{ version }} defaults={{ name }} submit="Save">
      <TextField name="name" label="Name" />
    </UnfoldForm>
  );
  const { rerender } = render(form(3, "Alder"));
  await userEvent.click(screen.getByRole("button", { name: "rename" }));
  await userEvent.type(screen.getByLabelText("Name"), " the second");
  rerender(form(4, "Birch"));
  expect(screen.getByLabelText<HTMLInputElement>("Name").value).toBe("Alder the second");
  await userEvent.click(screen.getByRole("button", { name: "Save" }));
  await waitFor(() => expect(screen.queryByLabelText("Name")).toBeNull());
  expect(action.mock.calls.map((c) => (c as unknown[])[0])).toEqual([{ name: "Alder the second", version: 3 }]);
  // Opened again, it begins from what stands now.
  rerender(form(5, "Cedar"));
  await userEvent.click(screen.getByRole("button", { name: "rename" }));
  expect(screen.getByLabelText<HTMLInputElement>("Name").value).toBe("Cedar");
});

test("a field that the server refuses carries the server's words", async () => {
  const action = jest.fn(async () => ({
    ok: false as const,
    kind: "invalid",
    message: "Taken.",
    fields: { name: "There is one of this name." },
  }));
  const { field, save } = open(action);
  await userEvent.type(field, "Alder");
  await userEvent.click(save);
  expect(await screen.findByText("There is one of this name.")).toBeTruthy();
});
