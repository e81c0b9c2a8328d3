import { spawn } from "node:child_process";
import { join } from "node:path";
import { ROOT } from "./project.mjs";
import { Remedy, say } from "./say.mjs";

const DAY_MS = 24 * 60 * 60 * 1000;

/** The time of a setting like "03:30", in minutes after midnight; null where it is not set. */
export function minutesOf(setting) {
  if (!setting) return null;
  const [, hours, minutes] = /^(\d{1,2}):(\d{2})$/.exec(setting.trim()) ?? [];
  if (hours === undefined || Number(hours) > 23 || Number(minutes) > 59)
    throw new Remedy(`BACKUP_AT is “${setting}”; write a time of day, like 03:30.`);
  return Number(hours) * 60 + Number(minutes);
}

/** Milliseconds until that time comes next. */
export function untilNext(minutes, now = new Date()) {
  const next = new Date(now);
  next.setHours(0, minutes, 0, 0);
  const wait = next.getTime() - now.getTime();
  return wait > 0 ? wait : wait + DAY_MS;
}

/**
 * Backs up every night at the time of BACKUP_AT, in a process of its own; gives the way to stop. To be called before the
 * server is started: that takes on the application's role, which may not back up.
 */
export function backUpNightly(setting = process.env.BACKUP_AT) {
  const minutes = minutesOf(setting);
  if (minutes === null) return () => undefined;
  const env = { ...process.env };
  let timer;
  const wait = () => {
    timer = setTimeout(() => {
      const child = spawn(process.execPath, [join(ROOT, "scripts", "backup.mjs")], {
        stdio: "inherit",
        env,
      });
      child.on("error", (error) => say(`The nightly backup could not be started: ${error.message}`));
      wait();
    }, untilNext(minutes));
  };
  wait();
  return () => clearTimeout(timer);
}
