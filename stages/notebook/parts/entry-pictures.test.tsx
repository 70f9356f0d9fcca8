/** @jest-environment jsdom */
// Marks on a picture of the notebook: a place by pointer or by arrow keys, then what is to be seen there.
import "@/ui/testing/browser";
import { fireEvent, render, screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { EntryPictures } from "./entry-pictures";

const mockRouter = { refresh: () => {}, push: () => {} };
jest.mock("next/navigation", () => ({ useRouter: () => mockRouter }));
const mockMark = jest.fn();
jest.mock("../actions", () => ({
  addEntryPictureAction: jest.fn(),
  removeEntryPictureAction: jest.fn(),
  markEntryPictureAction: (i: unknown) => mockMark(i),
}));
beforeEach(() => mockMark.mockReset().mockResolvedValue({ ok: true, value: { id: "" } }));

const first = { x: 0.2, y: 0.4, text: "It leaks here" };
const pictures = [{ id: "p", caption: "Seal", marks: [first] }];

test("a mark is put by keys alone, behind those that stand", async () => {
  const user = userEvent.setup();
  render(<EntryPictures entryId="e" pictures={pictures} own date="Tue 2 March" />);
  await user.click(screen.getByRole("button", { name: "mark it" }));
  const pad = screen.getByRole("button", { name: /^Put a mark/ });
  fireEvent.keyDown(pad, { key: "ArrowRight", shiftKey: true });
  fireEvent.keyDown(screen.getByRole("button", { name: /^Pin at 60 % from the left, 50 %/ }), { key: "ArrowUp" });
  await user.type(screen.getByLabelText("What is to be seen there"), "Crack");
  await user.click(screen.getByRole("button", { name: "Put mark 2" }));
  expect(mockMark).toHaveBeenCalledWith({
    id: "p",
    caption: "Seal",
    marks: [first, { x: 0.6, y: 0.48, text: "Crack" }],
  });
});

test("a place is chosen by the pointer; without words no mark is put", async () => {
  const user = userEvent.setup();
  render(<EntryPictures entryId="e" pictures={pictures} own date="Tue 2 March" />);
  await user.click(screen.getByRole("button", { name: "mark it" }));
  const pad = screen.getByRole("button", { name: /^Put a mark/ });
  pad.getBoundingClientRect = () => ({ left: 0, top: 0, width: 200, height: 100 }) as DOMRect;
  fireEvent.click(pad, { detail: 1, clientX: 50, clientY: 75 });
  expect(screen.getByRole("button", { name: /^Pin at 25 % from the left, 75 %/ })).toBeTruthy();
  await user.click(screen.getByRole("button", { name: "Put mark 2" }));
  expect(await screen.findByText("This is needed.")).toBeTruthy();
  expect(mockMark).not.toHaveBeenCalled();
});

test("a mark is taken off by its student; to a reader there is nothing to press", async () => {
  const user = userEvent.setup();
  const { rerender } = render(<EntryPictures entryId="e" pictures={pictures} own date="Tue 2 March" />);
  await user.click(screen.getByRole("button", { name: "take mark 1 off" }));
  expect(mockMark).toHaveBeenCalledWith({ id: "p", caption: "Seal", marks: [] });
  rerender(<EntryPictures entryId="e" pictures={pictures} own={false} date="Tue 2 March" />);
  expect(screen.queryByRole("button")).toBeNull();
  expect(screen.getByText("It leaks here")).toBeTruthy();
});
