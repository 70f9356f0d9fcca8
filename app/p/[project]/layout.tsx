import type { ReactNode } from "react";
import { ProjectShell } from "@/features/shell/shell";

export default async function Layout({
  children,
  params,
}: {
  children: ReactNode;
  params: Promise<{ project: string }>;
}) {
  return <ProjectShell slug={(await params).project}>{children}</ProjectShell>;
}
