"use server";
import { action } from "@/platform/command/perform";
import { createFromTemplate } from "./commands";

export const createFromTemplateAction = action(createFromTemplate);
