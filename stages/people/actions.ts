"use server";
import { action } from "@/platform/command/perform";
import { eraseStudent } from "./commands/erase";
import { addCoInstructor, createGuestLink, revokeGuestLink } from "./commands/guests";
import { nameHead } from "./commands/heads";
import { giveLogin, giveLogins, removeStaff, resetInstructor } from "./commands/logins";
import { mergeStudents } from "./commands/merge";
import { importRoster, previewRoster } from "./commands/roster";
import { addStudent, editStudent, endEnrolment, restoreEnrolment } from "./commands/students";

export const previewRosterAction = action(previewRoster);

export const importRosterAction = action(importRoster);

export const giveLoginsAction = action(giveLogins);

export const resetInstructorAction = action(resetInstructor);

export const removeStaffAction = action(removeStaff);

export const giveLoginAction = action(giveLogin);

export const endEnrolmentAction = action(endEnrolment);

export const eraseStudentAction = action(eraseStudent);

export const addCoInstructorAction = action(addCoInstructor);

export const createGuestLinkAction = action(createGuestLink);

export const revokeGuestLinkAction = action(revokeGuestLink);

export const addStudentAction = action(addStudent);

export const editStudentAction = action(editStudent);

export const restoreEnrolmentAction = action(restoreEnrolment);

export const mergeStudentsAction = action(mergeStudents);

export const nameHeadAction = action(nameHead);
