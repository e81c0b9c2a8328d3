/** The readings as a table, brought when it is asked for. */
export { readingsCsv } from "@/core";
