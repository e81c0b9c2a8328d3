/**
 * Many at once on the production server over HTTP: technicians who write facts and read those of others, beside a bare
 * SELECT asked by as many of the same database in the same run. Prints a section of docs/benchmarks.md.
 */

import { fork } from "node:child_process";
import { fileURLToPath } from "node:url";
import { served } from "./served.mjs";
import { technician, together } from "./technicians.mjs";

const DATABASE = "odd_lead_bench";
const USERS = 50;
const CONNECTIONS = 8;
const SECONDS = 20;
const WARMING_SECONDS = 5;
const PROCESSES = 2;
async function main() {
  const rows = [];
  for (const processes of [1, PROCESSES]) {
    const told = processes === 1 ? "one process" : `${processes} processes`;
    const measured = await served(DATABASE, (server) => loaded(server), { processes });
    rows.push(...measured.map(([what, row]) => [`${told}: ${what}`, row]));
  }
  console.log(section(rows));
}

/** Each load after the other, and a bare SELECT before and after them: the machine has its moods. */
async function loaded({ base, url }) {
  const { default: pg } = await import("pg");
  const pool = new pg.Pool({ connectionString: url, max: CONNECTIONS });
  const users = Array.from({ length: USERS }, (_, user) => technician(base, user));
  const selecting = () => together(users, () => pool.query("select body from facts limit 1"), SECONDS / 2);
  await together(users, (user) => user.write(), WARMING_SECONDS);
  await selecting();
  const first = await selecting();
  const plain = await atPlainServer();
  await together(users, (user) => user.writeNowhere(), WARMING_SECONDS);
  const nowhere = await together(users, (user) => user.writeNowhere(), SECONDS / 2);
  const writing = await together(users, (user) => user.write(), SECONDS);
  const both = await together(users, (user) => user.writeAndRead(), SECONDS);
  const either = await together(users, (user, turn) => (turn % 2 ? user.read() : user.write()), SECONDS);
  const health = [];
  const pages = [];
  const mixed = await together(
    users,
    async (user, turn) => {
      if (user.number === 0) return watched(health, user);
      // Each at a time of his own: nobody opens the first page because fifty others do.
      const at = turn + user.number;
      if (at % 10 === 5) return user.get("/api/v1/jobs?search=brown&most=20");
      if (at % 40 === 20) return timed(pages, () => user.get("/"));
      return user.writeAndRead();
    },
    SECONDS,
  );
  const last = await selecting();
  await pool.end();
  const select = { times: [...first.times, ...last.times], failures: new Map(), seconds: SECONDS };
  const rows = [
    [`a bare SELECT through ${CONNECTIONS} connections`, select],
    ["a server of Node’s alone, which reads what is sent and answers nothing", plain],
    ["an address with nothing under it: the framework alone", nowhere],
    ["writing facts", writing],
    ["writing facts and reading what arrived", both],
    ["each request of these", either],
    ["writing and reading, one in ten a search, one in forty a page", mixed],
    ["a page meanwhile", { times: pages, failures: new Map(), seconds: SECONDS }],
    ["health meanwhile", { times: health, failures: new Map(), seconds: SECONDS }],
  ];
  return rows.map(([what, row]) => [what, { ...row, bare: select }]);
}

/** As many at a server that does nothing: what HTTP costs on this machine, whoever serves. */
async function atPlainServer() {
  const child = fork(fileURLToPath(new URL("plainServer.mjs", import.meta.url)));
  const port = await new Promise((resolve) => child.once("message", resolve));
  const users = Array.from({ length: USERS }, (_, user) => technician(`http://127.0.0.1:${port}`, user));
  try {
    return await together(users, (user) => user.writeNowhere(), SECONDS / 2);
  } finally {
    child.kill();
  }
}

/** Asks for the server's health ten times a second. */
async function watched(times, user) {
  await timed(times, () => user.get("/api/health"));
  await new Promise((resolve) => setTimeout(resolve, 100));
}

async function timed(times, ask) {
  const started = performance.now();
  await ask();
  times.push(performance.now() - started);
}

function section(rows) {
  const at = ({ times }, share) =>
    [...times].sort((a, b) => a - b)[Math.floor(share * (times.length - 1))] ?? 0;
  const failed = ({ failures }) => [...failures.values()].reduce((sum, count) => sum + count, 0);
  for (const [what, { failures }] of rows)
    for (const [message, count] of failures) console.error(`${what}: ${count} times: ${message}`);
  return [
    "## Under load",
    "",
    `${USERS} users at once, each from an address of his own and again as soon as he has his answer, on the machine that also asks. Milliseconds of one turn (writing and reading is two requests), and its p95 as a multiple of that of the SELECT.`,
    "",
    "| what | turns a second | median | p95 | p99 | × SELECT | failed |",
    "| --- | --- | --- | --- | --- | --- | --- |",
    ...rows.map(
      ([what, row]) =>
        `| ${what} | ${(row.times.length / row.seconds).toFixed(0)} | ${[0.5, 0.95, 0.99].map((share) => at(row, share).toFixed(1)).join(" | ")} | ${(at(row, 0.95) / at(row.bare, 0.95)).toFixed(1)} | ${failed(row)} |`,
    ),
    "",
  ].join("\n");
}

await main();
