"use client";

import dynamic from "next/dynamic";

// One address serves every guest: what only some of them are shown is loaded where it is shown.
export const AnswerForm = dynamic(() => import("./answer-form").then((m) => m.AnswerForm));
export const GuestDemonstration = dynamic(() => import("./guest-demonstration").then((m) => m.GuestDemonstration));
export const GuestQuestion = dynamic(() => import("./guest-questions").then((m) => m.GuestQuestion));
export const Questions = dynamic(() => import("@/stages/reviews/parts/questions").then((m) => m.Questions));
export const GuestSheet = dynamic(() => import("./guest-sheet").then((m) => m.GuestSheet));
