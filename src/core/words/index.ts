/** The door of the words that differ from place to place: every page needs them, and nothing else of the core. */
export { inUsage, placeInUsage, USAGES, type Usage } from "./usage";
