/**
 * How a grid stands that comes beside something on a desk and after it on a phone: there it waits until what is above it
 * has come, which would push it off the screen under the thumb.
 */
export function afterPending(pending: boolean): {
  readonly display: { readonly xs: string; readonly md: string };
} {
  return { display: { xs: pending ? "none" : "grid", md: "grid" } };
}
