"use server";
import { action } from "@/server/perform";
import * as people from "@/data/people";

export const previewRosterAction = action(people.previewRoster);
export const importRosterAction = action(people.importRoster);
export const giveLoginAction = action(people.giveLogin);
export const endEnrolmentAction = action(people.endEnrolment);
export const eraseStudentAction = action(people.eraseStudent);
export const addCoInstructorAction = action(people.addCoInstructor);
export const createGuestLinkAction = action(people.createGuestLink);
export const revokeGuestLinkAction = action(people.revokeGuestLink);
