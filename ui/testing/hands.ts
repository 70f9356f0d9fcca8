// What a person does to the parts of a page under test.
import { screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";

export const press = (name: string | RegExp) => userEvent.click(screen.getByRole("button", { name }));

/** Takes an option of a select. */
export async function choose(field: string | RegExp, option: string | RegExp): Promise<void> {
  await userEvent.click(screen.getByRole("combobox", { name: field }));
  await userEvent.click(screen.getByRole("option", { name: option }));
}

/** Takes an item of the menu behind a button. */
export async function take(button: string | RegExp, item: string | RegExp): Promise<void> {
  await press(button);
  await userEvent.click(screen.getByRole("menuitem", { name: item }));
}
