/** @jest-environment jsdom */
// A new project: empty, of a kind, or with a template's file.
import "@/ui/testing/browser";
import { fireEvent, render, screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { NewProjectForm } from "./new-project-form";

const mockRouter = { refresh: () => {}, push: jest.fn() };
jest.mock("next/navigation", () => ({ useRouter: () => mockRouter }));
const mockCreate = jest.fn();
const mockBegin = jest.fn();
jest.mock("../actions", () => ({ createProjectAction: (i: unknown) => mockCreate(i) }));
jest.mock("@/stages/templates/actions", () => ({ createFromTemplateAction: (i: unknown) => mockBegin(i) }));

const made = { ok: true, value: { slug: "made" } };
beforeEach(() => {
  mockCreate.mockReset().mockResolvedValue(made);
  mockBegin.mockReset().mockResolvedValue(made);
});
const put = (label: string, value: string) => fireEvent.change(screen.getByLabelText(label), { target: { value } });
const fill = async (user: ReturnType<typeof userEvent.setup>, title?: string) => {
  if (title) put("Title", title);
  put("First day", "2027-03-01");
  put("Last day", "2027-05-28");
  put("Section", "8C");
  await user.click(screen.getByRole("checkbox", { name: "Mon" }));
};
const create = (user: ReturnType<typeof userEvent.setup>) =>
  user.click(screen.getByRole("button", { name: "Create project" }));
// jsdom's files cannot be read as text.
const file = (body: string) =>
  Object.assign(new File([body], "pump.json", { type: "application/json" }), { text: async () => body });

test("an empty project is made as ever; one of a kind carries the kind and what it says of itself", async () => {
  const user = userEvent.setup();
  const { unmount } = render(<NewProjectForm />);
  await fill(user, "Bare");
  await create(user);
  expect(mockCreate).toHaveBeenCalledWith(expect.objectContaining({ title: "Bare" }));
  expect(mockBegin).not.toHaveBeenCalled();
  unmount();
  const begun = { title: "Line Runner", purpose: "Notes", kind: "contest", client: "", currency: "cr" };
  render(<NewProjectForm template="vehicle" begun={begun} />);
  expect(screen.queryByLabelText("Template")).toBeNull();
  await fill(user);
  await create(user);
  expect(mockBegin).toHaveBeenCalledWith(
    expect.objectContaining({ template: "vehicle", title: "Line Runner", kind: "contest" }),
  );
});

test("a file fills the fields and goes along; taken out again, what was typed becomes an empty project", async () => {
  const user = userEvent.setup();
  render(<NewProjectForm />);
  const body = JSON.stringify({ project: { title: "Pump", client: "Garden", kind: "client", seed: "no field" } });
  await user.upload(screen.getByLabelText("Template"), file(body));
  await waitFor(() => expect(screen.getByLabelText("Title")).toHaveProperty("value", "Pump"));
  await fill(user);
  mockBegin.mockResolvedValueOnce({ ok: false, kind: "invalid", message: "", fields: { file: "tasks 2: no title" } });
  await create(user);
  await screen.findByText("tasks 2: no title");
  expect(mockBegin).toHaveBeenCalledWith(expect.objectContaining({ file: body, title: "Pump", client: "Garden" }));
  expect(screen.getByLabelText("Section")).toHaveProperty("value", "8C");
  await user.click(screen.getByRole("button", { name: "without it" }));
  expect(screen.queryByText("tasks 2: no title")).toBeNull();
  await create(user);
  expect(mockCreate).toHaveBeenCalledWith(expect.objectContaining({ title: "Pump" }));
});

test("a file that cannot be read fills nothing and is sent: what is wrong is said by who reads it", async () => {
  const user = userEvent.setup();
  render(<NewProjectForm />);
  await fill(user, "Mine");
  await user.upload(screen.getByLabelText("Template"), file("no"));
  await screen.findByText("pump.json");
  expect(screen.getByLabelText("Title")).toHaveProperty("value", "Mine");
  await create(user);
  expect(mockBegin).toHaveBeenCalledWith(expect.objectContaining({ file: "no", title: "Mine" }));
});
