import pino from "pino";

/** Structured log of the server, to standard output; LOG_LEVEL picks how much. */
export const log = pino({ level: process.env.LOG_LEVEL ?? "warn", base: null });
