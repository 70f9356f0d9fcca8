"use server";
import { action } from "@/platform/command/perform";
import { amendEntry, writeEntry } from "./commands";

export const writeEntryAction = action(writeEntry);

export const amendEntryAction = action(amendEntry);
