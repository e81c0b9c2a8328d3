/**
 * For the branch that cannot be: a kind that a switch does not know fails to compile here, and where it comes at run time
 * all the same it is a fault of ours.
 *
 * @throws RangeError always.
 */
export function unforeseen(value: never): never {
  throw new RangeError(`not foreseen: ${JSON.stringify(value)}`);
}
