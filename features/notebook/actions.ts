"use server";
import { action } from "@/server/perform";
import * as notebook from "@/data/notebook";
export const writeEntryAction = action(notebook.writeEntry);
export const amendEntryAction = action(notebook.amendEntry);
