/** @jest-environment jsdom */
// A build and what failed of it, as they are written down: what is asked when, and what is sent.
import "@/ui/testing/browser";
import { fireEvent, render, screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { loadSelect } from "@/ui/select";
import { choose, press } from "@/ui/testing/hands";
import { answer, forget, sent, went } from "@/ui/testing/sent";
import { takeUnheard } from "@/ui/toast";
import { type BuildDefaults, BuildForm } from "./build-form";
import { FailureForm } from "./failure-form";

jest.mock("next/navigation", () => jest.requireActual("@/ui/testing/sent").navigation);
jest.mock("../actions", () => jest.requireActual("@/ui/testing/sent").actions);

const id = (n: number) => `0190a0b0-0000-7000-8000-00000000000${n}`;
beforeAll(() => loadSelect());
beforeEach(() => {
  forget();
  takeUnheard();
});
const input = () => sent.at(-1)!.input as Record<string, unknown>;

const plain: BuildDefaults = {
  stage: "prototype",
  builtOn: "2027-03-02",
  whatChanged: "a longer drum",
  why: "",
  expected: "",
  predicted: "",
  mass: "",
  cost: "",
  sides: "",
  learned: "",
  good: "",
  notGood: "",
  features: "",
  variables: "",
  parentIds: [id(1)],
  makerId: "",
  fromEdition: "",
  dropped: "",
};

describe("a build", () => {
  const open = (more: object = {}) =>
    render(
      <BuildForm
        slug="pump"
        teamId={id(0)}
        version={0}
        defaults={plain}
        parents={[{ value: id(1), label: "G1" }]}
        others={[{ value: id(2), label: "Cistern G2" }]}
        members={[]}
        before={[]}
        open={[]}
        decided={[]}
        predictedUnit="L/min"
        currency="€"
        units={{ mass: "kg", side: "mm" } as never}
        {...more}
      />,
    );

  test("a merge takes another team's build, which stands behind a line until it is asked for", async () => {
    open();
    expect(screen.queryByRole("checkbox", { name: "Cistern G2" })).toBeNull();
    await press("also from another team's build");
    await userEvent.click(screen.getByRole("checkbox", { name: "Cistern G2" }));
    await userEvent.type(screen.getByLabelText("Mass"), "2.2 lb");
    await userEvent.type(screen.getByLabelText("Size"), "580 × 380 × 390");
    await press("Record the build");
    await waitFor(() => expect(went).toEqual(["/p/pump/builds/new"]));
    expect(input()).toMatchObject({
      teamId: id(0),
      version: 0,
      parentIds: [id(1), id(2)],
      mass: "2.2 lb",
      sides: "580 × 380 × 390",
      physical: false,
    });
    expect(takeUnheard().map((x) => x.text)).toEqual(["The build is recorded."]);
  });

  test("one that is merged already shows where it comes from", () => {
    open({ defaults: { ...plain, parentIds: [id(1), id(2)] } });
    expect(screen.getByRole("checkbox", { name: "Cistern G2" }).getAttribute("aria-checked")).toBe("true");
    expect(screen.queryByRole("button", { name: /another team/ })).toBeNull();
  });

  test("what was tested goes stale only where the build itself was changed", async () => {
    open({ id: id(5), version: 3 });
    await userEvent.click(screen.getByRole("checkbox", { name: /The build itself was changed/ }));
    await press("Save");
    await waitFor(() => expect(input()).toMatchObject({ id: id(5), version: 3, physical: true }));
  });

  test("failures and decisions that stand open can be answered; without any nothing is asked", async () => {
    const { unmount } = open();
    expect(screen.queryByText("This build answers")).toBeNull();
    expect(screen.queryByText("This build carries out")).toBeNull();
    unmount();
    open({ open: [{ value: id(3), label: "the lever split" }], decided: [{ value: id(4), label: "a wider base" }] });
    await userEvent.click(screen.getByRole("checkbox", { name: "the lever split" }));
    await userEvent.click(screen.getByRole("checkbox", { name: "a wider base" }));
    await press("Record the build");
    await waitFor(() => expect(input()).toMatchObject({ closes: [id(3)], carries: [id(4)] }));
  });

  test.each([
    ["Mass", "12 s", /this field takes a mass/],
    ["Size", "580 × 380", /Write three sides/],
    ["Built on", "", /Write a date|This is needed/],
  ])("%s of “%s” is told at its field; nothing is sent and what was typed stays", async (label, typed, says) => {
    open();
    fireEvent.change(screen.getByLabelText(label), { target: { value: typed } });
    await press("Record the build");
    expect(await screen.findByText("Look at the marked fields.")).toBeTruthy();
    expect(screen.getAllByText(says).length).toBeGreaterThan(0);
    expect(screen.getByLabelText(label)).toHaveProperty("value", typed);
    expect(sent).toEqual([]);
  });
});

describe("a failure", () => {
  const photos = [
    { id: id(7), caption: "" },
    { id: id(8), caption: "the pivot" },
  ];
  const open = async (more: object = {}) => {
    render(<FailureForm buildId={id(1)} causes={["wear", "overload"]} photos={photos} {...more} />);
    await press(/Record a failure|correct/);
  };

  test("a danger is said before anything is written down", async () => {
    await open();
    expect(screen.queryByText(/Stop using it/)).toBeNull();
    await choose("How much it matters", /hurt/);
    expect(screen.getByText(/Stop using it and tell the instructor now/)).toBeTruthy();
  });

  test("a cause of one's own is asked for where it is none of the list", async () => {
    await open();
    await userEvent.type(screen.getByLabelText("What failed"), "the lever split");
    await userEvent.type(screen.getByLabelText("Where"), "at the pivot");
    expect(screen.queryByLabelText("Which cause")).toBeNull();
    await choose("Likely cause", "another cause");
    await userEvent.type(screen.getByLabelText("Which cause"), "knot in the wood");
    await choose("How much it matters", /hurt/);
    await press("Save");
    await waitFor(() =>
      expect(input()).toMatchObject({ buildId: id(1), mode: "the lever split", cause: "knot in the wood" }),
    );
    expect(input()).not.toHaveProperty("among");
    expect(takeUnheard().map((x) => x.text)).toEqual(["Recorded."]);
    expect(screen.queryByLabelText("What failed")).toBeNull();
  });

  test("a cause of the list goes as it is; changing one's mind drops what was written", async () => {
    await open({
      id: id(9),
      version: 2,
      defaults: { mode: "split", place: "x", cause: "rot", severity: "danger", nextStep: "", photoId: "" },
    });
    expect(screen.getByLabelText("Which cause")).toHaveProperty("value", "rot");
    await choose("Likely cause", "wear");
    await press("Save");
    await waitFor(() => expect(input()).toMatchObject({ id: id(9), version: 2, cause: "wear" }));
  });

  test("a pin is put on the chosen photo by keys, and goes with it", async () => {
    await open();
    expect(screen.queryByRole("button", { name: /Put a pin/ })).toBeNull();
    await choose("On which photo", "the pivot");
    const pad = screen.getByRole("button", { name: /Put a pin where it failed/ });
    pad.focus();
    await userEvent.keyboard("{ArrowLeft}{ArrowUp}");
    await userEvent.type(screen.getByLabelText("What failed"), "split");
    await userEvent.type(screen.getByLabelText("Where"), "pivot");
    await choose("How much it matters", /hurt/);
    answer("saveFailureAction", { ok: false, kind: "refused", message: "The photo was taken out." });
    await press("Save");
    expect(await screen.findByText("The photo was taken out.")).toBeTruthy();
    expect(input()).toMatchObject({ photoId: id(8), pinX: 0.48, pinY: 0.48 });
    expect(screen.getByLabelText("What failed")).toHaveProperty("value", "split");
  });
});
