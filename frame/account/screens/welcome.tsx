import { redirect } from "next/navigation";
import { schoolIsEmpty } from "@/platform/sign-in/sign-in";
import { Door } from "../parts/door";
import { WelcomeForm } from "../parts/welcome-form";

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
