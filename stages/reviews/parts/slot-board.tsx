"use client";

import {
  closestCenter,
  DndContext,
  type DragEndEvent,
  KeyboardCode,
  type KeyboardCoordinateGetter,
  KeyboardSensor,
  PointerSensor,
  useDraggable,
  useDroppable,
  useSensor,
  useSensors,
} from "@dnd-kit/core";
import { clockOf } from "@/core/contest/programme";
import { cx } from "@/ui/classes";
import { useDates } from "@/ui/dates";
import { useSend } from "@/ui/form/send";
import { useReady } from "@/ui/ready";
import { toast } from "@/ui/toast";
import { moveSlotAction } from "../actions";
import type { SlotBoard as Board, PlacedTeam } from "../view/slots";
import { type Place, placeKey, SlotTable, SlotTeamLines } from "./slot-table";

/** A held team goes to the nearest place in the direction of the arrow key. */
const toNextPlace: KeyboardCoordinateGetter = (event, { currentCoordinates, context }) => {
  const step = {
    [KeyboardCode.Down]: [0, 1],
    [KeyboardCode.Up]: [0, -1],
    [KeyboardCode.Right]: [1, 0],
    [KeyboardCode.Left]: [-1, 0],
  }[event.code];
  const own = context.collisionRect;
  if (!step || !own) return undefined;
  event.preventDefault();
  const [dx, dy] = step as [number, number];
  const centre = { x: own.left + own.width / 2, y: own.top + own.height / 2 };
  const places = context.droppableContainers.getEnabled().flatMap((c) => {
    const rect = context.droppableRects.get(c.id);
    if (!rect) return [];
    const x = rect.left + rect.width / 2 - centre.x;
    const y = rect.top + rect.height / 2 - centre.y;
    const ahead = x * dx + y * dy;
    return ahead > 8 ? [{ x, y, far: ahead + 4 * Math.abs(x * dy + y * dx) }] : [];
  });
  const next = places.sort((a, b) => a.far - b.far)[0];
  return next && { x: currentCoordinates.x + next.x, y: currentCoordinates.y + next.y };
};

function Team({ place, where }: { place: Place & { placed: PlacedTeam }; where: string }) {
  const { setNodeRef, attributes, listeners, transform, isDragging } = useDraggable({ id: place.key });
  return (
    <button
      type="button"
      ref={setNodeRef}
      {...attributes}
      {...listeners}
      className={cx(
        "-mx-1.5 block w-full cursor-grab text-left touch-none rounded-sm border px-1.5 py-0.5 hover:border-ink",
        isDragging ? "relative z-10 border-iron bg-sheet" : "border-transparent",
      )}
      style={transform ? { transform: `translate(${transform.x}px, ${transform.y}px)` } : undefined}
    >
      <SlotTeamLines placed={place.placed} />
      <span className="sr-only">{where}</span>
    </button>
  );
}

function Cell({ place, where, fixed }: { place: Place; where: string; fixed: boolean }) {
  const { setNodeRef, isOver } = useDroppable({ id: place.key, disabled: fixed });
  const { placed } = place;
  return (
    <div ref={setNodeRef} className={cx("min-h-6 rounded-sm", isOver && "bg-iron-wash outline-2 outline-iron")}>
      {placed && (fixed ? <SlotTeamLines placed={placed} /> : <Team place={{ ...place, placed }} where={where} />)}
      {!placed && <span className="text-sm text-soft">free</span>}
    </div>
  );
}

/**
 * The kept plan: a team is moved by dragging it, or by Space, arrow keys and Space; who has the place changes with it.
 */
export function SlotBoard({
  board,
  rooms,
  slots,
}: {
  board: Board;
  rooms: readonly string[];
  /** By review: the slot, and whether it has begun. */
  slots: Readonly<Record<string, { id: string; version: number; begun: boolean }>>;
}) {
  const { send, note } = useSend(moveSlotAction);
  const ready = useReady();
  const { shortDate } = useDates();
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: toNextPlace }),
  );
  const places = new Map(
    board.days.flatMap((d) =>
      d.times.flatMap((t) =>
        t.rooms.map((placed, room) => {
          const key = placeKey(d.day, t.from, room);
          return [key, { key, day: d.day, from: t.from, room, placed }] as const;
        }),
      ),
    ),
  );
  const where = (key: string) => {
    const p = places.get(key)!;
    return `${shortDate(p.day)} ${clockOf(p.from)}, ${rooms[p.room]}`;
  };
  const move = async ({ active, over }: DragEndEvent) => {
    const from = places.get(String(active.id));
    const to = over && places.get(String(over.id));
    const slot = from?.placed && slots[from.placed.team];
    if (!slot || !to || to.key === from.key) return;
    const r = await send({ id: slot.id, version: slot.version, day: to.day, from: clockOf(to.from), room: to.room });
    if (r?.ok)
      toast(
        r.value.swapped
          ? `${from.placed!.name} and ${r.value.swapped} have changed places.`
          : `${from.placed!.name} is moved to ${where(to.key)}.`,
      );
  };
  const said = (key: string | number | undefined) => (key === undefined ? "no place" : where(String(key)));
  const name = (key: string | number) => places.get(String(key))?.placed?.name ?? "the team";
  return (
    <DndContext
      id="slots"
      sensors={sensors}
      collisionDetection={closestCenter}
      onDragEnd={(e) => void move(e)}
      accessibility={{
        screenReaderInstructions: {
          draggable: "Space takes the team up, arrow keys move it, Space puts it down, Escape leaves it where it was.",
        },
        announcements: {
          onDragStart: ({ active }) => `${name(active.id)} is taken up.`,
          onDragOver: ({ active, over }) => `${name(active.id)} is over ${said(over?.id)}.`,
          onDragEnd: ({ active, over }) => `${name(active.id)} is put down at ${said(over?.id)}.`,
          onDragCancel: ({ active }) => `${name(active.id)} stays where it was.`,
        },
      }}
    >
      <SlotTable
        board={board}
        rooms={rooms}
        cell={(p) => (
          <Cell
            key={p.key}
            place={p}
            where={where(p.key)}
            fixed={!ready || (p.placed !== null && (slots[p.placed.team]?.begun ?? true))}
          />
        )}
      />
      <p role="status" className="text-sm text-iron">
        {note}
      </p>
    </DndContext>
  );
}
