import { randomUUID } from "node:crypto";
import { addDays, mondayOf } from "@/core/sessions/date";
import { askBooking, endBooking, planQueue, startBooking } from "@/stages/shop/commands/bookings";
import { keepCutList } from "@/stages/shop/commands/cuts";
import { countKit, handOutKit, saveKit } from "@/stages/shop/commands/kits";
import { checkMachine, closeIncident, editIncident, reportIncident } from "@/stages/shop/commands/safety";
import { addStockItem, moveStock } from "@/stages/shop/commands/stock";
import { saveTool, signTool } from "@/stages/shop/commands/tools";
import { bookingsOf } from "@/stages/shop/queries/bookings";
import { toolsOf } from "@/stages/shop/queries/tools";
import { at, clock, run } from "./run";

type Teams = ReadonlyMap<string, { id: string; members: readonly string[] }>;

const drill = {
  rules: "Workshop rule 3: only with Mr Halvorsen or Ms Adeyemi in the room.",
  trainers: "Mr Halvorsen, workshop technician",
  place: "Workshop, bay 2",
  months: 12,
  shared: true,
  checks: "Guard in place and clear\nEmergency stop tried\nChuck key out, table locked",
};
const laser = {
  name: "Laser cutter",
  caution: "Never unattended, extraction on, only sheets from the list: no PVC, nothing unknown.",
  rules: "Workshop rule 7: a trained adult starts it and stays.",
  trainers: "Mr Halvorsen, workshop technician",
  place: "Workshop, room B12",
  months: 6,
  shared: true,
  checks: "Extraction runs\nLens and tray clean\nLid switch stops the beam\nExtinguisher and fire blanket in reach",
};

/** Machines that are shared, who is trained, two weeks of bookings with what came of them, and who waits now. */
export async function bookTheShop(owner: string, projectId: string, teams: Teams): Promise<void> {
  const today = clock.today;
  const monday = mondayOf(today);
  const team = (name: string) => teams.get(name)!;
  await at(addDays(monday, -14), 8);
  const press = (await toolsOf(projectId)).find((t) => t.name === "Drill press")!;
  await run(saveTool, owner, { projectId, ...press, ...drill });
  const { id: cutter } = await run(saveTool, owner, { projectId, ...laser });
  for (const name of ["Cistern", "Gully", "Freshet", "Sluice"].filter((n) => teams.has(n)))
    for (const toolId of [cutter, press.id])
      await run(signTool, owner, { toolId, personId: team(name).members[0]!, on: true });
  const ask = (
    toolId: string,
    name: string,
    what: string,
    material: string,
    minutes: number,
    needBy: string,
    more = {},
  ) =>
    run(askBooking, team(name).members[0]!, {
      id: randomUUID(),
      toolId,
      teamId: team(name).id,
      what,
      material,
      minutes,
      needBy,
      operatorId: team(name).members[0],
      ...more,
    });
  await ask(cutter, "Cistern", "Valve plates", "3 mm acrylic", 20, addDays(monday, -9));
  await ask(cutter, "Gully", "Side frames", "6 mm birch plywood", 35, addDays(monday, -9));
  await ask(press.id, "Cistern", "Pivot holes", "Aluminium flat", 15, addDays(monday, -9));
  await ask(press.id, "Gully", "Bolt circle", "6 mm birch plywood", 10, addDays(monday, -8));
  for (const toolId of [cutter, press.id]) await run(planQueue, owner, { toolId });
  const used = [28, 44, 20, 12];
  /** All that stand between two days are done, on their days. */
  const work = async (from: string, to: string) => {
    const stand = [...(await bookingsOf(cutter, from, to)), ...(await bookingsOf(press.id, from, to))];
    for (const [k, b] of stand.entries()) {
      if (!b.onDate || b.startedAt) continue;
      await at(b.onDate, 9, 5 + k);
      const tool = (await toolsOf(projectId)).find((t) => t.id === b.toolId)!;
      await run(checkMachine, owner, { id: randomUUID(), toolId: tool.id, lines: tool.checks });
      await run(startBooking, owner, { id: b.id, version: b.version });
      await at(b.onDate, 10, k);
      const half = b.what === "Side frames";
      await run(endBooking, owner, {
        id: b.id,
        version: b.version + 1,
        used: used[k % used.length]!,
        outcome: half ? "not finished" : "done",
        seen: half ? "Knots stay: a second pass was needed" : "",
      });
    }
  };
  await work(addDays(monday, -14), addDays(monday, -1));
  await at(addDays(monday, -1), 17);
  await ask(cutter, "Gully", "Side frames, second half", "6 mm birch plywood", 30, addDays(monday, 1));
  await run(planQueue, owner, { toolId: cutter });
  await work(monday, addDays(today, -1));
  await at(today, 7);
  await ask(cutter, "Cistern", "Piston discs", "5 mm acrylic", 15, addDays(monday, 3));
  await ask(press.id, "Cistern", "Handle pivot", "Steel tube", 20, addDays(monday, 2));
  for (const toolId of [cutter, press.id]) await run(planQueue, owner, { toolId });
  await at(today, 8);
  await run(checkMachine, owner, {
    id: randomUUID(),
    toolId: press.id,
    lines: (await toolsOf(projectId)).find((t) => t.id === press.id)!.checks,
  });
  if (teams.has("Freshet"))
    await ask(cutter, "Freshet", "Cover with window", "3 mm acrylic, the last sheet", 25, addDays(today, 3), {
      once: true,
    });
  await ask(cutter, "Cistern", "Spare valve plates", "3 mm acrylic", 20, addDays(today, 6), { operatorId: "" });
  await ask(press.id, "Gully", "Strap holes", "Aluminium flat", 10, addDays(today, 2));
}

const spun =
  "The drill caught as it came through, and the flat spun round. It was held by hand, not clamped. It hit the column " +
  "and stopped.";

/** A near miss that changed something, and one that is still open. */
export async function tellIncidents(owner: string, projectId: string, teams: Teams): Promise<void> {
  const monday = mondayOf(clock.today);
  const press = (await toolsOf(projectId)).find((t) => t.name === "Drill press")!;
  await at(addDays(monday, -13), 11);
  const id = randomUUID();
  const caught = {
    toolId: press.id,
    kind: "near miss",
    onDate: addDays(monday, -13),
    place: "Workshop, bay 2",
    what: spun,
    done: "Machine off, everybody back, the technician looked at it.",
  };
  await run(reportIncident, teams.get("Gully")!.members[1]!, {
    id,
    projectId,
    ...caught,
  });
  await at(addDays(monday, -12), 8);
  await run(editIncident, owner, {
    id,
    version: 1,
    ...caught,
    told: "Workshop technician, head of department",
    changed:
      "Two clamps hang at the press now; the daily list asks for them. All teams were shown how a drill catches.",
  });
  await run(closeIncident, owner, { id, version: 2, closed: true });
  await at(clock.today, 7, 50);
  await run(reportIncident, owner, {
    id: randomUUID(),
    projectId,
    kind: "near miss",
    onDate: addDays(monday, -1) < clock.today ? addDays(monday, -3) : clock.today,
    place: "Test corner",
    what: "A power strip lay on the floor below the lift rig; water ran within a hand of it when a hose slipped off.",
    done: "Strip unplugged and hung up, floor dried.",
  });
}

const stock = [
  ["Birch plywood 3 mm", "sheets", "600 × 400", "6.80", "4", "3", "Rack A", "Timber yard"],
  ["Birch plywood 6 mm", "sheets", "600 × 400", "9.40", "2", "2", "Rack A", "Timber yard"],
  ["Acrylic 3 mm", "sheets", "500 × 300", "7.20", "1", "2", "Rack B", "Plastics counter"],
  ["Pine strip 44 × 18", "bars", "2400", "3.90", "7", "4", "Rack C", "Timber yard"],
  ["PVC pipe 40 mm", "bars", "2000", "4.50", "5", "3", "Rack C", "Plumbing counter"],
  ["Screw 4 × 30", "pieces", "", "0.04", "180", "100", "Drawer 4", "Hardware shop"],
  ["Hose clamp 40 mm", "pieces", "", "0.60", "9", "16", "Drawer 7", "Plumbing counter"],
  ["Silicone grease", "kilograms", "", "18", "0.35", "0.2", "Cupboard", "Hardware shop"],
] as const;

/** What is in stock, two kits, and a list of pieces to cut. */
export async function stockTheShop(owner: string, projectId: string, teams: Teams): Promise<void> {
  const monday = mondayOf(clock.today);
  await at(addDays(monday, -20), 15);
  const ids = new Map<string, string>();
  for (const [name, form, size, price, there, low, place, supplier] of stock) {
    const { id } = await run(addStockItem, owner, {
      id: randomUUID(),
      projectId,
      name,
      form,
      size: size && `${size} mm`,
      price,
      low,
      place,
      supplier,
    });
    ids.set(name, id);
    await run(moveStock, owner, {
      id: randomUUID(),
      itemId: id,
      kind: "counted",
      amount: there,
      note: "Count in week 4",
    });
  }
  const gone = (name: string, amount: string, by: string, note: string) =>
    run(moveStock, owner, {
      id: randomUUID(),
      itemId: ids.get(name),
      kind: "taken",
      amount,
      teamId: teams.get(by)!.id,
      note,
    });
  await at(addDays(monday, -9), 9);
  await gone("Birch plywood 6 mm", "1", "Gully", "Side frames");
  await gone("Pine strip 44 × 18", "2", "Cistern", "Stand");
  await gone("Hose clamp 40 mm", "2", "Cistern", "Inlet");
  await run(moveStock, owner, {
    id: randomUUID(),
    itemId: ids.get("Acrylic 3 mm"),
    kind: "given",
    amount: "1",
    note: "Offcut from a sign maker",
  });
  const kit = randomUUID();
  await run(saveKit, owner, {
    id: kit,
    projectId,
    name: "Plumbing kit",
    contents: "4 × pipe clip\n2 × hose clamp\n1 × pipe cutter\n1 × tape measure\n2 × spanner",
  });
  for (const [k, name] of ["Cistern", "Gully"].entries()) {
    const id = randomUUID();
    await run(handOutKit, owner, { id, kitId: kit, teamId: teams.get(name)!.id });
    if (k === 0) {
      await at(addDays(monday, -4), 14);
      await run(countKit, owner, { id, version: 1, counted: [4, 2, 1, 1, 1], note: "Spanner to be looked for" });
    }
  }
  await at(addDays(monday, -2), 16);
  await run(keepCutList, owner, {
    id: randomUUID(),
    projectId,
    teamId: teams.get("Gully")!.id,
    title: "Gully: frames and covers",
    kind: "sheets",
    way: "edge",
    kerf: "2",
    border: "5",
    blanks: "Birch plywood 6 mm; 600 × 400; 2",
    pieces: "Side frame; 380 × 160; 2; grain\nCover; 220 × 180; 2\nFoot; 120 × 90; 4\nGusset; 80 × 80; 6",
  });
  await run(keepCutList, owner, {
    id: randomUUID(),
    projectId,
    title: "Stands for the bench",
    kind: "bars",
    way: "edge",
    kerf: "3",
    border: "0",
    blanks: "Pine strip 44 × 18; 2400; 5",
    pieces: "Leg; 798; 8\nRail; 597; 8\nBrace; 420; 6",
  });
}
