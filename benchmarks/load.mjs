/**
 * Many at once on the production server over HTTP: technicians who write facts and read those of others, beside a bare
 * SELECT asked by as many of the same database in the same run. Prints a section of docs/benchmarks.md.
 */

import { Agent, request } from "node:http";
import { v7 as uuid } from "uuid";
import { served } from "./served.mjs";

const DATABASE = "odd_lead_bench";
const USERS = 50;
const CONNECTIONS = 8;
const SECONDS = 20;
const WARMING_SECONDS = 5;
const PROCESSES = 2;
/** Turns of one job: as many readings as a long job has. */
const TURNS_OF_A_JOB = 60;
const PAUSE_AFTER_FAILURE_MS = 100;
const LEADS = ["brown", "black", "white", "red"].map((colour) => ({ id: uuid(), colour }));
/** A blower of four leads, by their places and ohms. */
const PAIRS = [
  [0, 1, 14.2],
  [0, 2, 9.1],
  [1, 2, 23.2],
  [0, 3, 6.4],
  [2, 3, 2.8],
  [1, 3, 20.5],
];
/** Each has his own address, as technicians on the road have: the limit is one caller's. */
const addressOf = (user) => `127.0.1.${user + 1}`;

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
  const writing = await together(users, (user) => user.write(), SECONDS);
  const both = await together(users, (user) => user.writeAndRead(), SECONDS);
  const health = [];
  const mixed = await together(
    users,
    async (user, turn) => {
      if (user.number === 0) return watched(health, user);
      if (turn % 10 === 5) return user.get("/api/v1/jobs?search=brown&most=20");
      if (turn % 40 === 20) return user.get("/");
      return user.writeAndRead();
    },
    SECONDS,
  );
  const last = await selecting();
  await pool.end();
  const select = { times: [...first.times, ...last.times], failures: new Map(), seconds: SECONDS };
  const rows = [
    [`a bare SELECT through ${CONNECTIONS} connections`, select],
    ["writing facts", writing],
    ["writing facts and reading what arrived", both],
    ["the same, one in ten a search, one in forty a page", mixed],
    ["health meanwhile", { times: health, failures: new Map(), seconds: SECONDS }],
  ];
  return rows.map(([what, row]) => [what, { ...row, bare: select }]);
}

/** Asks for the server's health ten times a second. */
async function watched(times, user) {
  const started = performance.now();
  await user.get("/api/health");
  times.push(performance.now() - started);
  await new Promise((resolve) => setTimeout(resolve, 100));
}

/** One who writes readings to a job of his own, and reads what arrived since he last read; after so many a new job. */
function technician(base, number) {
  const agent = new Agent({ keepAlive: true, maxSockets: 1 });
  let job = null;
  const ask = (method, path, body) =>
    asked(base + path, { method, agent, localAddress: addressOf(number) }, body);
  const write = () => {
    if (job === null || job.turn === TURNS_OF_A_JOB) job = { id: uuid(), turn: 0, arrival: 0 };
    return ask("POST", `/api/v1/jobs/${job.id}/facts`, { facts: factsOf(job.turn++) });
  };
  const read = async () => {
    const answer = await ask("GET", `/api/v1/jobs/${job.id}/facts?after=${job.arrival}`);
    const { facts, arrival } = JSON.parse(answer);
    if (facts.length === 0) throw new Error("what was written was not there to be read");
    job.arrival = arrival;
  };
  return {
    number,
    write,
    get: (path) => ask("GET", path),
    writeAndRead: async () => {
      await write();
      await read();
    },
  };
}

/** The facts of a turn: a title and four leads to begin with, then one reading after the other. */
function factsOf(turn) {
  const made = (body) => ({ id: uuid(), at: new Date().toISOString(), by: "Bench", body });
  if (turn > 0) {
    const [a, b, ohms] = PAIRS[turn % PAIRS.length];
    const between = [LEADS[a].id, LEADS[b].id];
    return [made({ kind: "pair-reading", between, ohms, typed: `${ohms}`, unit: "Ω" })];
  }
  return [
    made({ kind: "title", title: "Ice house, fan 4" }),
    ...LEADS.map((lead) => made({ kind: "lead", lead })),
  ];
}

/** Everybody does it again and again for so long; how long each took, and how often it failed. */
async function together(users, once, seconds) {
  const until = performance.now() + seconds * 1000;
  const times = [];
  const failures = new Map();
  const one = async (user) => {
    for (let turn = 0; performance.now() < until; turn++) {
      const started = performance.now();
      try {
        await once(user, turn);
        times.push(performance.now() - started);
      } catch (error) {
        failures.set(error.message, (failures.get(error.message) ?? 0) + 1);
        await new Promise((resolve) => setTimeout(resolve, PAUSE_AFTER_FAILURE_MS));
      }
    }
  };
  await Promise.all(users.map(one));
  return { times, failures, seconds };
}

function asked(url, options, body) {
  return new Promise((resolve, reject) => {
    const text = body === undefined ? "" : JSON.stringify(body);
    const headers = body === undefined ? {} : { "content-type": "application/json" };
    const call = request(url, { ...options, headers }, (response) => {
      const parts = [];
      response.on("data", (part) => parts.push(part));
      response.on("error", reject);
      response.on("end", () => {
        const answer = Buffer.concat(parts).toString();
        if (response.statusCode === 200) resolve(answer);
        else reject(new Error(`${options.method} answered ${response.statusCode}: ${answer.slice(0, 400)}`));
      });
    });
    call.on("error", reject);
    call.end(text);
  });
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
