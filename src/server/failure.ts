import { log } from "./log";
import { Problem } from "./problem";
import { isQueueFull } from "./queue";

/** SQLSTATE classes of a server that is away, starting, stopping, short of what it needs, or kept from its files. */
const AWAY_CODES = /^(?:08|57P|53|58)/;
/** SQLSTATE of a disk without room. */
const DISK_FULL = "53100";
const AWAY_ERRNO: ReadonlySet<string> = new Set([
  "ECONNREFUSED",
  "ECONNRESET",
  "ENOENT",
  "EPIPE",
  "ETIMEDOUT",
  "EHOSTUNREACH",
]);
const AWAY_WORDS =
  /timeout exceeded when trying to connect|Query read timeout|Connection terminated|Client has encountered/i;
/** Of one cause after another, no more are looked at. */
const MOST_CAUSES = 5;

/** Whether an error says that the database cannot be reached just now, and not that something is wrong with what was asked. */
export function isDatabaseAway(error: unknown): boolean {
  return causesOf(error).some(
    ({ code, message, errors }) =>
      (typeof code === "string" && (AWAY_ERRNO.has(code) || AWAY_CODES.test(code))) ||
      (typeof message === "string" && AWAY_WORDS.test(message)) ||
      (Array.isArray(errors) && errors.some(isDatabaseAway)),
  );
}

/** SQLSTATE of what the database gave up: a statement or a lock that took too long, a deadlock. */
const GAVE_UP = new Set(["57014", "55P03", "40P01"]);

/** Whether an error says that there was too much at once, here or in the database. */
function isTooBusy(error: unknown): boolean {
  return causesOf(error).some((cause) => isQueueFull(cause) || GAVE_UP.has(String(cause.code)));
}

function isDiskFull(error: unknown): boolean {
  return causesOf(error).some(({ code }) => code === DISK_FULL);
}

/** An error with what caused it, one after another. */
function causesOf(error: unknown): readonly Record<string, unknown>[] {
  const causes: Record<string, unknown>[] = [];
  let cause: unknown = error;
  while (causes.length < MOST_CAUSES && typeof cause === "object" && cause !== null) {
    causes.push(cause as Record<string, unknown>);
    cause = (cause as Record<string, unknown>).cause;
  }
  return causes;
}

/** What is answered to an error that was thrown, told apart: the database away, too much at once, or our own fault, logged
 * with its id. */
export function failure(error: unknown, requestId: string, address: string): Problem {
  if (isDiskFull(error)) {
    log.error({ requestId, address, err: error }, "the disk is full");
    return new Problem(
      503,
      "The server’s disk is full. Nothing you entered is lost; it is sent again once there is room.",
      { requestId },
      { "retry-after": "10" },
    );
  }
  if (isDatabaseAway(error)) {
    log.warn({ requestId, address, err: error }, "the database is away");
    return new Problem(
      503,
      "The server cannot reach its database just now. Nothing you entered is lost.",
      { requestId },
      { "retry-after": "2" },
    );
  }
  if (isTooBusy(error)) {
    log.warn({ requestId, address, err: error }, "too busy");
    return new Problem(
      503,
      "There is too much at once; ask again in a moment.",
      { requestId },
      { "retry-after": "2" },
    );
  }
  log.error({ requestId, address, err: error }, "request failed");
  return new Problem(500, "The server made a mistake. Nothing you entered is lost.", {
    detail: "It is logged under this request’s id.",
    requestId,
  });
}
