/** @jest-environment jsdom */
// Views of a page by their addresses, and what a page shows before its scripts are there.
import { render, screen } from "@testing-library/react";
import { renderToString } from "react-dom/server";
import { SectionChoice, TeamChoice } from "./link-choice";
import { Menu } from "./menu";

const links = () => screen.queryAllByRole("link").map((a) => [a.textContent, a.getAttribute("href")]);

test("a list is narrowed to a section, each an address; all of them is the page itself", () => {
  const sections = [
    { id: "s3", name: "3" },
    { id: "s5", name: "5" },
  ];
  render(<SectionChoice sections={sections} chosen="s5" base="/p/pump/people" />);
  expect(links()).toEqual([
    ["all sections", "/p/pump/people"],
    ["3", "/p/pump/people?section=s3"],
    ["5", "/p/pump/people?section=s5"],
  ]);
  expect(screen.getByRole("navigation", { name: "Section" })).toBeTruthy();
  expect(document.querySelector("[aria-current]")!.textContent).toBe("5");
});

test("where there is one only, nothing is chosen from", () => {
  render(<TeamChoice teams={[{ id: "a", name: "Alder" }]} chosen={undefined} base="/p/pump/notebook" />);
  expect(links()).toEqual([]);
});

test("a menu's button stands with its words before it can open, and says that it cannot yet", () => {
  const html = renderToString(<Menu label="Ada here" trigger={<b>Ada</b>} triggerClass="wide" items={[]} />);
  const button = new DOMParser().parseFromString(html, "text/html").querySelector("button")!;
  expect([button.textContent, button.className, button.disabled]).toEqual(["Ada", "wide", true]);
  expect([button.getAttribute("aria-label"), button.getAttribute("aria-haspopup")]).toEqual(["Ada here", "menu"]);
  expect(button.getAttribute("aria-expanded")).toBe("false");
});
