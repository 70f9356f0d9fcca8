"use server";
import { action } from "@/platform/command/perform";
import { addAction, addActionPhoto, closeAction, editAction, reopenAction } from "./commands/actions";
import { answerQuestion, askQuestion, withdrawQuestion } from "./commands/asking";
import { demonstrate } from "./commands/demonstrating";
import { decideReview, reopenReview } from "./commands/marking";
import { arrangePacket, editReview, planReviews, saveRubric } from "./commands/planning";
import { addTopics, dealTopics, editTopic, withdrawTopic, writeTopic } from "./commands/report";
import { moveSlot, runSlot, saveSlots, setPanel, withdrawSlots } from "./commands/slots";
import { saveStory, shareStory, withdrawStory } from "./commands/story";
import { withdrawAction, withdrawReview, withdrawRubric, withdrawSheet } from "./withdrawals";

export const saveRubricAction = action(saveRubric);

export const planReviewsAction = action(planReviews);

export const decideReviewAction = action(decideReview);

export const addActionAction = action(addAction);

export const closeActionAction = action(closeAction);

export const reopenActionAction = action(reopenAction);

export const withdrawReviewAction = action(withdrawReview);

export const withdrawSheetAction = action(withdrawSheet);

export const withdrawActionAction = action(withdrawAction);

export const withdrawRubricAction = action(withdrawRubric);

export const arrangePacketAction = action(arrangePacket);

export const editReviewAction = action(editReview);

export const reopenReviewAction = action(reopenReview);

export const editActionAction = action(editAction);

export const saveSlotsAction = action(saveSlots);

export const moveSlotAction = action(moveSlot);

export const setPanelAction = action(setPanel);

export const runSlotAction = action(runSlot);

export const withdrawSlotsAction = action(withdrawSlots);

export const addActionPhotoAction = action(addActionPhoto);

export const askQuestionAction = action(askQuestion);

export const answerQuestionAction = action(answerQuestion);

export const withdrawQuestionAction = action(withdrawQuestion);

export const demonstrateAction = action(demonstrate);

export const saveStoryAction = action(saveStory);

export const shareStoryAction = action(shareStory);

export const withdrawStoryAction = action(withdrawStory);

export const addTopicsAction = action(addTopics);

export const dealTopicsAction = action(dealTopics);

export const editTopicAction = action(editTopic);

export const writeTopicAction = action(writeTopic);

export const withdrawTopicAction = action(withdrawTopic);
