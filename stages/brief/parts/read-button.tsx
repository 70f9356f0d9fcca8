"use client";

import { useRouter } from "next/navigation";
import { ActButton } from "@/ui/form/act-button";
import { acknowledgeBriefAction } from "../actions";

export function ReadButton({ projectId, briefVersionId }: { projectId: string; briefVersionId: string }) {
  const router = useRouter();
  return (
    <ActButton
      action={acknowledgeBriefAction}
      input={{ projectId, briefVersionId }}
      look="main"
      onDone={() => router.refresh()}
    >
      I have read this version
    </ActButton>
  );
}
