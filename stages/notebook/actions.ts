"use server";
import { action } from "@/platform/command/perform";
import { amendEntry, writeEntry } from "./commands";
import { withdrawEntryOfNotebook } from "./withdrawals";

export const writeEntryAction = action(writeEntry);

export const amendEntryAction = action(amendEntry);

export const withdrawEntryOfNotebookAction = action(withdrawEntryOfNotebook);
