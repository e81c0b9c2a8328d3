/** One line to the person at the terminal. */
export function say(text) {
  process.stdout.write(`${text}\n`);
}

/** A fault that the person can mend: said in one sentence, without a stack. */
export class Remedy extends Error {}

/** Ends the command with the sentence of a Remedy, or with the whole of a fault of ours. */
export function fail(error) {
  process.stderr.write(`${sentence(error)}\n`);
  process.exit(1);
}

function sentence(error) {
  if (error instanceof Remedy) return error.message;
  if (error?.code === "EACCES" || error?.code === "EPERM") {
    return `${error.path} belongs to another user; run as that user, or make a clone of your own, and try again.`;
  }
  return error?.stack ?? String(error);
}
