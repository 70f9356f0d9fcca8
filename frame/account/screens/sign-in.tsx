import { redirect } from "next/navigation";
import { currentPerson, demoMode } from "@/platform/sign-in/cookies";
import { demoPersonas } from "@/platform/sign-in/personas";
import { schoolIsEmpty } from "@/platform/sign-in/sign-in";
import { Fold } from "@/ui/fold";
import { personaAction } from "../actions";
import { Door } from "../parts/door";
import { SignInForm } from "../parts/sign-in-form";

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
        <Fold labelClass="text-soft" label="With email and password">
          <div className="mt-3">
            <SignInForm />
          </div>
        </Fold>
      ) : (
        <SignInForm />
      )}
    </Door>
  );
}
