/** Technicians on the road, over HTTP: each writes readings to jobs of his own and reads what arrived. */
import { Agent, request } from "node:http";
import { v7 as uuid } from "uuid";

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

/** One who writes readings to a job of his own, and reads what arrived since he last read; after so many a new job. */
export function technician(base, number) {
  const agent = new Agent({ keepAlive: true, maxSockets: 1 });
  let job = null;
  const ask = (method, path, body, expected = 200) =>
    asked(base + path, { method, agent, localAddress: addressOf(number) }, body, expected);
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
    read,
    get: (path) => ask("GET", path),
    /** As many letters as a reading has, to an address with nothing under it: what asking alone costs. */
    writeNowhere: () => ask("POST", "/api/v1/nothing", { facts: factsOf(1) }, 404),
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
export async function together(users, once, seconds) {
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

function asked(url, options, body, expected) {
  return new Promise((resolve, reject) => {
    const text = body === undefined ? "" : JSON.stringify(body);
    const headers = body === undefined ? {} : { "content-type": "application/json" };
    const call = request(url, { ...options, headers }, (response) => {
      const parts = [];
      response.on("data", (part) => parts.push(part));
      response.on("error", reject);
      response.on("end", () => {
        const answer = Buffer.concat(parts).toString();
        if (response.statusCode === expected) resolve(answer);
        else reject(new Error(`${options.method} answered ${response.statusCode}: ${answer.slice(0, 400)}`));
      });
    });
    call.on("error", reject);
    call.end(text);
  });
}
