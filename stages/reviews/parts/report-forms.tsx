"use client";

import { linesOf } from "@/core/text/lines";
import { ActionForm } from "@/ui/form/action-form";
import { fieldsFor, fieldsOf } from "@/ui/form/fields-of";
import { UnfoldForm } from "@/ui/form/unfold-form";
import { WithdrawButton } from "@/ui/form/withdraw-button";
import type { Option } from "@/ui/option";
import { addTopicsAction, dealTopicsAction, editTopicAction, withdrawTopicAction, writeTopicAction } from "../actions";
import { addTopics, dealTopics, editTopic, writeTopic } from "../schema-story";

const add = fieldsFor<{ text: string }>();
const deal = fieldsOf(dealTopics);
const edit = fieldsOf(editTopic);
const write = fieldsOf(writeTopic);

export const TopicsForm = ({ projectId }: { projectId: string }) => (
  <ActionForm
    clear
    schema={addTopics}
    action={addTopicsAction}
    fixed={{ projectId }}
    defaults={{ text: "" }}
    shape={(v) => ({ titles: linesOf(String(v.text ?? "")) })}
    submit="Add topics"
    look="plain"
  >
    <add.TextArea name="text" label="Topics, one a line" rows={4} />
  </ActionForm>
);

export const DealForm = ({ projectId, seed }: { projectId: string; seed: string }) => (
  <ActionForm
    inline
    schema={dealTopics}
    action={dealTopicsAction}
    fixed={{ projectId }}
    defaults={{ seed }}
    submit="Deal the topics to teams"
    look="plain"
    saved="Dealt."
  >
    <deal.TextField name="seed" label="Seed" className="w-40" />
  </ActionForm>
);

export const TopicTools = ({
  id,
  version,
  title,
  teamId,
  teams,
}: {
  id: string;
  version: number;
  title: string;
  teamId: string;
  teams: Option[];
}) => (
  <>
    <UnfoldForm
      label="correct"
      schema={editTopic}
      action={editTopicAction}
      fixed={{ id, version }}
      defaults={{ title, teamId }}
      submit="Save"
      className="grid w-full gap-2 sm:grid-cols-2"
    >
      <edit.TextField name="title" label="Topic" />
      <edit.SelectField name="teamId" label="Written by" empty="nobody yet" options={teams} />
    </UnfoldForm>
    <WithdrawButton action={withdrawTopicAction} id={id}>
      withdraw
    </WithdrawButton>
  </>
);

export const WriteForm = ({ id, version, body }: { id: string; version: number; body: string }) => (
  <UnfoldForm
    label={body ? "edit" : "write it"}
    schema={writeTopic}
    action={writeTopicAction}
    fixed={{ id, version }}
    defaults={{ body }}
    submit="Save"
    saved="Saved."
    className="grid w-full gap-2"
  >
    <write.TextArea name="body" label="Text" rows={8} hint="Lists and tables as in the brief." />
  </UnfoldForm>
);
