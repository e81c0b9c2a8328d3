/** What runs a circuit with a change, for the worker and for a page that has none: brought where it is needed. */
export { tried } from "@/core/wiring";
