"use client";

import { DropdownMenu } from "radix-ui";
import type { MenuProps } from "./menu";

/** The menu itself: arrow keys move, Escape closes, the first letter jumps. */
export function MenuList({ label, trigger, triggerClass, head, items }: MenuProps) {
  return (
    <DropdownMenu.Root modal={false}>
      <DropdownMenu.Trigger aria-label={label} className={triggerClass}>
        {trigger}
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          align="end"
          sideOffset={6}
          collisionPadding={8}
          className="z-50 min-w-44 rounded-md border border-line bg-sheet p-1.5 text-[13.5px] shadow-lg"
        >
          {head && <DropdownMenu.Label className="px-2 py-1 text-sm text-soft">{head}</DropdownMenu.Label>}
          {items.map((item) => (
            <DropdownMenu.Item
              key={item.label}
              onSelect={item.onSelect}
              className={
                "cursor-pointer rounded-sm border-l-3 border-transparent px-2 py-1.5 outline-none " +
                "data-[highlighted]:border-iron data-[highlighted]:bg-spine"
              }
            >
              {item.label}
            </DropdownMenu.Item>
          ))}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
