// What the command prints. One place, so that progress looks the same in every command.
export const say = (text) => process.stdout.write(`${text}\n`);
export const step = (text) => process.stdout.write(`· ${text}\n`);
export const complain = (text) => process.stderr.write(`${text}\n`);

/** An expected failure: its message is for the person at the terminal, no stack is shown. */
export class Refusal extends Error {}
