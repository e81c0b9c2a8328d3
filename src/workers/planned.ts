/** What plans the wiring, for the worker and for a page that has none: brought where it is needed. */
export { wired } from "@/core";
