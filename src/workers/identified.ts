/** What identifies, for the worker and for a page that has none: brought where it is needed. */
export { identified } from "@/core";
