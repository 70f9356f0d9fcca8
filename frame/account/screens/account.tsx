import { PlainShell } from "@/frame/shell/parts/plain-shell";
import { fullDate } from "@/platform/pages/dates";
import { requirePerson } from "@/platform/pages/page";
import { currentSession } from "@/platform/sign-in/cookies";
import { sessionsOf } from "@/stages/people/queries/account";
import { PageHead, Sheet } from "@/ui/page";
import { EndSession } from "../parts/end-session";
import { PasswordForm } from "../parts/password-form";

/** One's own account: the password, and where one is signed in. */
export async function AccountScreen() {
  const actor = await requirePerson();
  const [here, sessions] = [await currentSession(), await sessionsOf(actor.id)];
  const others = sessions.filter((s) => s.hash !== here);
  return (
    <PlainShell name={actor.name} admin={actor.admin} head={actor.head}>
      <PageHead title="Account" note={actor.name} />
      <div className="grid items-start gap-5 md:grid-cols-2">
        <Sheet title="Password">
          <PasswordForm />
        </Sheet>
        <Sheet title="Signed in" aside={sessions.length === 1 ? "on this device" : `on ${sessions.length} devices`}>
          <ul className="grid gap-1">
            {sessions.map((s) => (
              <li key={s.hash} className="flex flex-wrap items-baseline justify-between gap-3">
                <span>
                  {s.hash === here ? "This device" : "Another device"}{" "}
                  <span className="text-soft">since {fullDate(s.begunAt)}</span>
                </span>
                {s.hash !== here && <EndSession one={s.hash}>sign out</EndSession>}
              </li>
            ))}
          </ul>
          {others.length > 1 && (
            <div className="mt-3">
              <EndSession>Sign out all {others.length} others</EndSession>
            </div>
          )}
        </Sheet>
      </div>
    </PlainShell>
  );
}
