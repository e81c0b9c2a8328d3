/** What checks a plan, for the worker and for a page that has none: brought where it is needed. */
export { checked } from "@/core";
