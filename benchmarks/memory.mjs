/**
 * Whether the server's memory stays flat: technicians write, read, search and open pages for an hour, and what the
 * server's processes hold of the machine's memory is looked at meanwhile. Prints a section of docs/benchmarks.md.
 */
import { execFileSync } from "node:child_process";
import { served } from "./served.mjs";
import { technician, together } from "./technicians.mjs";

const DATABASE = "odd_lead_bench";
const MINUTES = Number(process.env.BENCH_MINUTES ?? 60);
const PARTS = 6;
const USERS = 20;
/** Between two turns of one technician. */
const PAUSE_MS = 1000;
const LOOK_MS = 5000;

async function main() {
  const { looks, turns, failed } = await served(DATABASE, async ({ base, pid }) => {
    const looks = [];
    const looking = setInterval(() => looks.push(heldBy(pid)), LOOK_MS);
    const users = Array.from({ length: USERS }, (_, user) => technician(base, user));
    const { times, failures } = await together(users, turnOf, MINUTES * 60);
    clearInterval(looking);
    for (const [message, count] of failures) console.error(`${count} times: ${message}`);
    return { looks, turns: times.length, failed: [...failures.values()].reduce((sum, n) => sum + n, 0) };
  });
  console.log(section(looks, turns, failed));
}

async function turnOf(user, turn) {
  await new Promise((resolve) => setTimeout(resolve, PAUSE_MS));
  if (turn % 20 === 5) return user.get("/api/v1/jobs?search=brown&most=20");
  if (turn % 20 === 10) return user.get("/");
  if (turn % 20 === 15) return user.get("/api/v1/stock?search=motor");
  return user.writeAndRead();
}

/** Megabytes that a process and those under it have in the machine's memory. */
function heldBy(pid) {
  const rows = execFileSync("ps", ["-eo", "pid=,ppid=,rss="], { encoding: "utf8" })
    .trim()
    .split("\n")
    .map((line) => line.trim().split(/\s+/).map(Number));
  const family = new Set([pid]);
  for (let before = 0; before !== family.size; ) {
    before = family.size;
    for (const [one, parent] of rows) if (family.has(parent)) family.add(one);
  }
  return rows.reduce((sum, [one, , kilobytes]) => (family.has(one) ? sum + kilobytes / 1024 : sum), 0);
}

function section(looks, turns, failed) {
  const parts = Array.from({ length: PARTS }, (_, part) =>
    looks.slice((part * looks.length) / PARTS, ((part + 1) * looks.length) / PARTS),
  );
  const row = (name, of) => `| ${name} | ${parts.map((part) => of(part).toFixed(0)).join(" | ")} |`;
  return [
    "## Memory",
    "",
    `What the server's process has of the machine's memory, in megabytes, looked at every ${LOOK_MS / 1000} seconds while ${USERS} technicians write and read, search the jobs and the stock and open the first page, a turn a second each: ${turns} turns in ${MINUTES} minutes, ${failed} failed. The least of each part is what stays after the collector has been.`,
    "",
    `| minutes | ${parts.map((_, part) => `${((part * MINUTES) / PARTS).toFixed(0)} to ${(((part + 1) * MINUTES) / PARTS).toFixed(0)}`).join(" | ")} |`,
    `| --- |${parts.map(() => " --- |").join("")}`,
    row("least", (part) => Math.min(...part)),
    row("most", (part) => Math.max(...part)),
    "",
  ].join("\n");
}

await main();
