"use client";

import dynamic from "next/dynamic";
import type { ComponentProps } from "react";
import type { Menu } from "./menu";

const load = () => import("./menu");
const Loaded = dynamic(() => load().then((m) => m.Menu), { ssr: false, loading: () => null });

/** A menu that is loaded once its page stands: until then its button's place is kept. */
export const MenuButton = (menu: ComponentProps<typeof Menu>) => (
  <span className="relative inline-grid">
    <span aria-hidden className={`col-start-1 row-start-1 invisible ${menu.triggerClass ?? ""}`}>
      {menu.trigger}
    </span>
    <span className="col-start-1 row-start-1 inline-grid">
      <Loaded {...menu} />
    </span>
  </span>
);
