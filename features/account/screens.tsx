import { redirect } from "next/navigation";
import type { ReactNode } from "react";
import { knock, schoolIsEmpty } from "@/data/people";
import { demoPersonas } from "@/data/demo";
import { currentPerson, demoMode } from "@/server/session";
import { Mark } from "@/ui/mark";
import { personaAction } from "./actions";
import { PinForm, SignInForm, WelcomeForm } from "./forms";
import { GuestDoor } from "./guest-door";

function Door({ title, note, children }: { title: string; note?: string; children: ReactNode }) {
  return (
    <main className="mx-auto grid min-h-dvh max-w-[400px] content-center gap-5 px-5 py-10">
      <p className="flex items-center gap-2.5 text-[15px] font-[650] [font-stretch:112%]">
        <Mark />
        Ironstone
      </p>
      <div>
        <h1>{title}</h1>
        {note && <p className="mt-1 text-soft">{note}</p>}
      </div>
      {children}
    </main>
  );
}

export async function SignInScreen() {
  if (await schoolIsEmpty()) redirect("/welcome");
  if ((await currentPerson()).kind === "person") redirect("/");
  const people = demoMode() ? await demoPersonas() : [];
  return (
    <Door title="Sign in" note={people.length ? "Hartsedge School is made up, and so is everybody in it." : undefined}>
      {people.length > 0 && (
        <section aria-label="People of the demo" className="sheet divide-y divide-line">
          {people.map((p) => (
            <form key={p.id} action={personaAction.bind(null, p.id)}>
              <button
                type="submit"
                className="flex w-full items-baseline justify-between gap-3 px-3.5 py-2.5 text-left hover:bg-spine"
              >
                <span className="font-[600]">{p.name}</span>
                <span className="text-sm text-soft">{p.words}</span>
              </button>
            </form>
          ))}
        </section>
      )}
      {people.length > 0 ? (
        <details>
          <summary className="text-soft">With email and password</summary>
          <div className="mt-3">
            <SignInForm />
          </div>
        </details>
      ) : (
        <SignInForm />
      )}
    </Door>
  );
}

export async function WelcomeScreen() {
  if (!(await schoolIsEmpty())) redirect("/sign-in");
  return (
    <Door
      title="A new school"
      note="You are its first instructor. You can add other instructors to your projects later."
    >
      <WelcomeForm />
    </Door>
  );
}

/** A guest's link: opens at once, or asks for its PIN. */
export async function GuestLinkScreen({ secret }: { secret: string }) {
  const answer = await knock(secret, null);
  if (answer.state === "unknown")
    return (
      <Door
        title="This link does not open"
        note="It has expired or was taken back. Ask the instructor who sent it for a new one."
      >
        <span />
      </Door>
    );
  if (answer.state === "open" && answer.guest.role === "board") redirect(`/board/${secret}`);
  if (answer.state === "open")
    return (
      <Door title={answer.guest.label} note="You have been asked to take part in a project. No account is needed.">
        <GuestDoor secret={secret} />
      </Door>
    );
  return (
    <Door title="PIN" note="The four digits stand beside the link that you were given.">
      <PinForm secret={secret} />
    </Door>
  );
}
