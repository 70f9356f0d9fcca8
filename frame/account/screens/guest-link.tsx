import { redirect } from "next/navigation";
import { guestSurface } from "@/core/access/guests";
import { guestCookieHere } from "@/platform/sign-in/cookies";
import { knock } from "@/platform/sign-in/guests";
import { Door } from "../parts/door";
import { GuestDoor } from "../parts/guest-door";
import { PinForm } from "../parts/pin-form";

/** A guest's link: opens at once, or asks for its PIN. */
export async function GuestLinkScreen({
  secret,
  asked,
}: {
  secret: string;
  /** What a board's link asks to see. */
  asked: { event?: string; screen?: string };
}) {
  const answer = await knock(secret, null, await guestCookieHere());
  if (answer.state === "unknown")
    return (
      <Door
        title="This link does not open"
        note="It has expired or was taken back. Ask the instructor who sent it for a new one."
      >
        <span />
      </Door>
    );
  if (answer.state === "open" && guestSurface[answer.guest.role] === "board") {
    const { event, screen } = asked;
    redirect(`/board/${secret}?${new URLSearchParams({ ...(event && { event }), ...(screen && { screen }) })}`);
  }
  if (answer.state === "open")
    return (
      <Door title={answer.guest.label} note="You have been asked to take part in a project. No account is needed.">
        <GuestDoor secret={secret} />
      </Door>
    );
  return (
    <Door title="PIN" note="The digits stand beside the link that you were given.">
      <PinForm secret={secret} />
    </Door>
  );
}
