/** @jest-environment jsdom */
// A spectator's vote: one press, what is said afterwards, and what a lost network does.
import { render, screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import "@/ui/testing/browser";
import { Vote } from "./vote";

const teams = [
  { id: "a", name: "Alder" },
  { id: "g", name: "Gully" },
];
const post = jest.fn();
const vote = () => userEvent.click(screen.getByRole("button", { name: "Vote" }));

beforeEach(() => {
  post.mockReset().mockResolvedValue({ json: async () => ({ ok: true, team: "Gully" }) });
  globalThis.fetch = post as never;
});

test("a team is chosen and voted for; nothing is sent before one is chosen", async () => {
  render(<Vote code="ABC234" teams={teams} voted={null} />);
  await waitFor(() => expect((screen.getByRole("button", { name: "Vote" }) as HTMLButtonElement).disabled).toBe(false));
  await vote();
  expect(screen.getByRole("alert").textContent).toBe("Choose a team first.");
  expect(post).not.toHaveBeenCalled();
  await userEvent.click(screen.getByRole("radio", { name: "Gully" }));
  await vote();
  expect(await screen.findByText("Your vote for Gully is counted.")).toBeTruthy();
  expect(JSON.parse(post.mock.calls[0][1].body)).toEqual({ code: "ABC234", team: "g" });
});

test("who has voted sees for whom; a closed vote and a lost network are said", async () => {
  render(<Vote code="ABC234" teams={teams} voted="a" />);
  expect(screen.getByText("Your vote is counted. You may change it.")).toBeTruthy();
  expect(screen.getByRole("radio", { name: "Alder" }).getAttribute("aria-checked")).toBe("true");
  post.mockResolvedValueOnce({ json: async () => ({ ok: false, message: "The vote is closed." }) });
  await vote();
  expect(await screen.findByText("The vote is closed.")).toBeTruthy();
  post.mockRejectedValueOnce(new Error("offline"));
  await vote();
  expect(await screen.findByText(/your vote is not counted yet/)).toBeTruthy();
});
