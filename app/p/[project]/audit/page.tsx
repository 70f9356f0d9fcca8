import { AuditScreen } from "@/frame/audit/screens/audit";

export const metadata = { title: "Audit" };
export default async function Page({
  params,
  searchParams,
}: {
  params: Promise<{ project: string }>;
  searchParams: Promise<{ q?: string; before?: string }>;
}) {
  const { q, before } = await searchParams;
  return <AuditScreen slug={(await params).project} q={q ?? ""} before={before} />;
}
