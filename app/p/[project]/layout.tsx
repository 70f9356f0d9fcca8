import type { ReactNode } from "react";
import { ProjectShell } from "@/frame/shell/parts/project-shell";

export default async function Layout({
  children,
  params,
}: {
  children: ReactNode;
  params: Promise<{ project: string }>;
}) {
  return <ProjectShell slug={(await params).project}>{children}</ProjectShell>;
}
