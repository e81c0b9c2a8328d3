/**
 * Whether an error is of a class, told by its name. Each route may be built with a copy of the file that a class stands in:
 * an error of one copy is no `instanceof` of the other's class.
 */
export function isNamed<Kind extends Error>(error: unknown, name: Kind["name"]): error is Kind {
  return error instanceof Error && error.name === name;
}
