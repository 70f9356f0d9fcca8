"use client";

import dynamic from "next/dynamic";
import { keptToo } from "@/ui/kept-too";

// A page carries what is scored or judged on it; the rest comes where it is shown, and is kept for without a network
// all the same.
const loadMatch = keptToo(() => import("./match-entry"));
const loadSheets = keptToo(() => import("./judge-sheets"));

export const MatchEntry = dynamic(() => loadMatch().then((m) => m.MatchEntry));
export const JudgeSheets = dynamic(() => loadSheets().then((m) => m.JudgeSheets));
