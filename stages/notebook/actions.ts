"use server";
import { action } from "@/platform/command/perform";
import { amendEntry } from "./commands";
import { askCountersign, countersign } from "./countersigned";
import { addEntryPicture, markEntryPicture } from "./pictures";
import { editRemark, remarkOnEntry, seeEntry } from "./reading";
import { removeEntryPicture, withdrawCountersign, withdrawEntryOfNotebook, withdrawRemark } from "./withdrawals";

export const amendEntryAction = action(amendEntry);

export const withdrawEntryOfNotebookAction = action(withdrawEntryOfNotebook);

export const seeEntryAction = action(seeEntry);

export const remarkOnEntryAction = action(remarkOnEntry);

export const editRemarkAction = action(editRemark);

export const withdrawRemarkAction = action(withdrawRemark);

export const addEntryPictureAction = action(addEntryPicture);

export const markEntryPictureAction = action(markEntryPicture);

export const removeEntryPictureAction = action(removeEntryPicture);

export const askCountersignAction = action(askCountersign);

export const countersignAction = action(countersign);

export const withdrawCountersignAction = action(withdrawCountersign);
