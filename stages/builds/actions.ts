"use server";
import { action } from "@/platform/command/perform";
import { addPhoto, removePhoto, saveBuild } from "./commands";

export const saveBuildAction = action(saveBuild);

export const addPhotoAction = action(addPhoto);

export const removePhotoAction = action(removePhoto);
