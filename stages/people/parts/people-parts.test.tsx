/** @jest-environment jsdom */
// A roster from a spreadsheet with every problem named, and what is done with one student's record.
import "@/ui/testing/browser";
import { fireEvent, render, screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { loadMenu } from "@/ui/menu";
import { loadSelect } from "@/ui/select";
import { press } from "@/ui/testing/hands";
import { answer, forget, last, sent } from "@/ui/testing/sent";
import { RosterImport } from "./roster-import";
import { StudentTools } from "./student-tools";

jest.mock("next/navigation", () => jest.requireActual("@/ui/testing/sent").navigation);
jest.mock("../actions", () => jest.requireActual("@/ui/testing/sent").actions);

const projectId = "0190a0b0-0000-7000-8000-000000000000";
const ada = "0190a0b0-0000-7000-8000-000000000001";
const twin = "0190a0b0-0000-7000-8000-000000000002";
const section = "0190a0b0-0000-7000-8000-000000000003";
beforeAll(() => Promise.all([loadSelect(), loadMenu()]));
beforeEach(forget);
const row = (line: number, name: string) => ({ line, name, section: "3", email: "" });

describe("the roster", () => {
  const open = () => render(<RosterImport projectId={projectId} sections={["3", "5"]} />);
  const paste = (text: string) =>
    fireEvent.change(screen.getByLabelText(/Paste from a spreadsheet/), { target: { value: text } });
  const look = (value: object) => ({ ok: true, value: { rows: [], problems: [], known: 0, warning: "", ...value } });

  test("nothing is imported while a row has a problem, and each problem is named with its line", async () => {
    open();
    expect(screen.getByRole("button", { name: "Preview" })).toHaveProperty("disabled", true);
    paste("Name\tSection\nAda\t9");
    answer(
      "previewRosterAction",
      look({ rows: [row(3, "Ben")], problems: [{ line: 2, message: "There is no section 9." }] }),
    );
    await press("Preview");
    expect(last()).toEqual({ action: "previewRosterAction", input: { projectId, text: "Name\tSection\nAda\t9" } });
    const seen = (await screen.findByRole("region", { name: "Preview" })).textContent;
    expect(seen).toContain("1 row has a problem.");
    expect(seen).toContain("Line 2: There is no section 9.");
    expect(screen.queryByRole("button", { name: /^Import/ })).toBeNull();
    // What is mended is looked at anew.
    paste("Name\tSection\nAda\t3");
    expect(screen.queryByRole("region", { name: "Preview" })).toBeNull();
  });

  test("all rows go in at once; who is here already is said; the field is empty again", async () => {
    open();
    paste("Name\tSection\nAda\t3\nBen\t3");
    answer("previewRosterAction", look({ rows: [row(2, "Ada"), row(3, "Ben")], known: 1 }));
    await press("Preview");
    expect(await screen.findByText(/1 of them are here already/)).toBeTruthy();
    answer("importRosterAction", { ok: true, value: { added: 1 } });
    await press("Import 2 students");
    expect(last()).toEqual({
      action: "importRosterAction",
      input: {
        projectId,
        rows: [
          { name: "Ada", section: "3", email: "" },
          { name: "Ben", section: "3", email: "" },
        ],
      },
    });
    expect(await screen.findByText("1 student was added.")).toBeTruthy();
    expect(screen.getByLabelText<HTMLTextAreaElement>(/Paste from a spreadsheet/).value).toBe("");
  });

  test("a file goes as it is, for the server to read its letters; one that is no roster is not sent", async () => {
    open();
    const field = screen.getByLabelText("CSV file");
    const text = new File([new Uint8Array([0x4e, 0xe9])], "list.csv");
    text.arrayBuffer = () => Promise.resolve(new Uint8Array([0x4e, 0xe9]).buffer);
    answer("previewRosterAction", look({ rows: [row(2, "Né")], warning: "Read as Latin letters." }));
    fireEvent.change(field, { target: { files: [text] } });
    expect(await screen.findByText("Read as Latin letters.")).toBeTruthy();
    expect(last().input).toEqual({ projectId, base64: "Tuk=" });
    const large = new File([], "photos.csv");
    Object.defineProperty(large, "size", { value: 5_000_001 });
    fireEvent.change(field, { target: { files: [large] } });
    expect(await screen.findByText(/This file is larger than 5 MB/)).toBeTruthy();
    expect(sent.length).toBe(1);
  });

  test("a long list is cut where it is shown, not where it is sent", async () => {
    open();
    paste("many");
    const rows = Array.from({ length: 70 }, (_, i) => row(i + 2, `Student ${i + 1}`));
    answer("previewRosterAction", look({ rows }));
    await press("Preview");
    expect(await screen.findByText("and 10 more")).toBeTruthy();
    await press("Import 70 students");
    expect((last().input as { rows: unknown[] }).rows.length).toBe(70);
  });
});

describe("a student's record", () => {
  const open = () =>
    render(
      <StudentTools
        projectId={projectId}
        student={{ id: ada, version: 3, name: "Ada Quill", email: "", sectionId: section }}
        sections={[{ value: section, label: "3" }]}
        others={[{ value: twin, label: "Ada Quil" }]}
        record="/record"
      />,
    );
  const more = async (item: string) => {
    await press("More for Ada Quill");
    await userEvent.click(screen.getByRole("menuitem", { name: item }));
  };

  test("a name is corrected against the version that was seen", async () => {
    open();
    await press("correct");
    await userEvent.type(screen.getByLabelText("Name"), "e");
    answer("editStudentAction", { ok: true, value: { team: null } });
    await press("Save");
    expect(last()).toEqual({
      action: "editStudentAction",
      input: { projectId, personId: ada, version: 3, name: "Ada Quille", email: "", sectionId: section },
    });
    expect(await screen.findByRole("button", { name: "correct" })).toBeTruthy();
  });

  test("two records become one after a choice, which is asked for", async () => {
    open();
    await more("Merge with another record of the same student");
    await press("Make them one");
    await waitFor(() => expect(screen.getByText("Look at the marked fields.")).toBeTruthy());
    expect(sent).toEqual([]);
    await userEvent.click(screen.getByRole("combobox"));
    await userEvent.click(screen.getByRole("option", { name: "Ada Quil" }));
    answer("mergeStudentsAction", { ok: true, value: { left: 2 } });
    await press("Make them one");
    expect(last()).toEqual({ action: "mergeStudentsAction", input: { projectId, personId: ada, fromId: twin } });
  });

  test("erasing takes the name as a confirmation; a wrong one is told and stays", async () => {
    open();
    await more("Erase");
    const confirm = screen.getByLabelText(/Write Ada Quill to confirm/);
    await userEvent.type(confirm, "Ada");
    answer("eraseStudentAction", {
      ok: false,
      kind: "invalid",
      message: "This is not the name.",
      fields: { confirm: "Write the name as it stands in the list." },
    });
    await press("Erase for good");
    expect(await screen.findByText("Write the name as it stands in the list.")).toBeTruthy();
    expect(confirm).toHaveProperty("value", "Ada");
    await press("Leave it");
    expect(screen.getByRole("button", { name: "correct" })).toBeTruthy();
  });

  test("who leaves the section is asked about first", async () => {
    open();
    await more("Leaves the section");
    const question = await screen.findByRole("alertdialog");
    expect(question.textContent).toContain("the record stays, and Ada Quill can be taken in again");
    expect(sent).toEqual([]);
    await userEvent.click(screen.getByRole("button", { name: /^Yes/ }));
    await waitFor(() => expect(last()).toEqual({ action: "endEnrolmentAction", input: { projectId, personId: ada } }));
  });
});
