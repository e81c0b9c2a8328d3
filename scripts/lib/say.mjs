/** One line to the person at the terminal. */
export function say(text) {
  process.stdout.write(`${text}\n`);
}

/** A fault that the person can mend: said in one sentence, without a stack. */
export class Remedy extends Error {}

/** Ends the command with the sentence of a Remedy, or with the whole of a fault of ours. */
export function fail(error) {
  process.stderr.write(error instanceof Remedy ? `${error.message}\n` : `${error?.stack ?? error}\n`);
  process.exit(1);
}
