"use client";

import dynamic from "next/dynamic";

// What a page does not need to be read is loaded once it stands.
export const Tips = dynamic(() => import("./tips").then((m) => m.Tips), { ssr: false });
export const Toasts = dynamic(() => import("./toasts").then((m) => m.Toasts), { ssr: false });
export const Confirm = dynamic(() => import("./confirm").then((m) => m.Confirm), { ssr: false });
