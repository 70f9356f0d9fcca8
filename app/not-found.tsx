import { Empty, LinkButton } from "@/ui/page";

export default function NotFound() {
  return (
    <main className="grid min-h-dvh place-items-center p-6">
      <Empty title="There is no such page here" action={<LinkButton href="/">To Today</LinkButton>}>
        It may have been removed, or it belongs to a project that you are not part of.
      </Empty>
    </main>
  );
}
