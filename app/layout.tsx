import type { Metadata, Viewport } from "next";
import type { ReactNode } from "react";
import { bringBackAction } from "@/stages/records/actions";
import { Tips, Toasts } from "@/ui/lazy";
import { WorkingProvider } from "@/ui/working";
import "./globals.css";

export const metadata: Metadata = {
  title: { default: "Ironstone", template: "%s · Ironstone" },
  description: "Engineering design projects from the brief to the contest.",
};
// Every page is made for its reader, and carries the nonce of its own answer.
export const dynamic = "force-dynamic";
export const viewport: Viewport = { width: "device-width", initialScale: 1, themeColor: "#f3efe7" };

export default function RootLayout({ children }: { children: ReactNode }) {
  return (
    <html lang="en">
      <body>
        <WorkingProvider>{children}</WorkingProvider>
        <Tips />
        <Toasts undo={bringBackAction} />
      </body>
    </html>
  );
}
