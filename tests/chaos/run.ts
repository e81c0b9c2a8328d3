/**
 * npm run chaos: readings typed at a human's pace on two devices at one job, whose clocks are a day off, while one fault
 * after another befalls browsers, line, server and database. None may be lost, none doubled; both devices show all in the
 * end. `npm run chaos -- --faults 300 --seed 1`.
 */
import { parseArgs } from "node:util";
import { CheckoutOfOwn } from "../checkoutOfOwn";
import { account } from "./account";
import { Chance, pause } from "./chance";
import { Device } from "./device";
import { FAULTS, type World } from "./faults";
import { Line } from "./line";

const { values: words } = parseArgs({
  options: {
    faults: { type: "string", default: "300" },
    seed: { type: "string", default: "1" },
    only: { type: "string", default: "" },
  },
});
const wanted = Number(words.faults);
const chance = new Chance(Number(words.seed));
const say = (line: string) => console.log(line);

/** Between a fault and the next; between a reading and the next. */
const CALM_MS = [500, 2500] as const;
const PACE_MS = [600, 1800] as const;
const LEADS = ["BK", "BU", "RD"] as const;

const checkout = new CheckoutOfOwn();
const devices = [
  new Device("one", LEADS, 100, 1, new Chance(chance.between(0, 1e9))),
  new Device("other", LEADS, 500, -1, new Chance(chance.between(0, 1e9))),
] as const;
const begun = Date.now();

async function run(): Promise<boolean> {
  const to = { port: Number(process.env.PORT) };
  const start = () => checkout.start({ PORT: String(to.port) });
  const server = start();
  await server.address;
  const lines = await Promise.all(devices.map(() => Line.to(to, new Chance(chance.between(0, 1e9)))));
  const world: World = {
    chance,
    checkout,
    devices: devices.flatMap((device, i) => (lines[i] ? [{ device, line: lines[i] }] : [])),
    server,
    restart: async () => {
      world.server = start();
      await world.server.address;
    },
  };
  const [one, other] = devices;
  const [first, second] = lines;
  if (!first || !second) throw new Error("no lines");
  const path = await one.startMotor(first.address);
  await other.open(second.address + path);
  for (const device of devices) await device.untilKept();
  say(`Two devices at one job, ${wanted} faults, seed ${words.seed}.`);

  let isOver = false;
  const typing = devices.map(async (device) => {
    while (!isOver) {
      await device.alone(() => device.type());
      await pause(chance.between(...PACE_MS));
    }
  });
  const happened = new Map<string, number>();
  for (let n = 0; n < wanted; n++) {
    const fault = chosen();
    happened.set(fault.name, (happened.get(fault.name) ?? 0) + 1);
    try {
      await fault.happen(world);
    } catch (error) {
      throw new Error(`fault ${n + 1}, ${fault.name}: ${(error as Error).message}`);
    }
    if ((n + 1) % 25 === 0) say(`${n + 1} faults, ${typedSoFar()} readings, ${minutes()} min`);
    await pause(chance.between(...CALM_MS));
  }
  isOver = true;
  await Promise.all(typing);
  for (const line of lines) line.heal();
  const saved = await Promise.all(devices.map((device) => device.untilSaved(120_000)));
  // Each asks every few seconds what the other entered.
  await pause(10_000);
  const job = path.split("/")[2] ?? "";
  const result = await account(`http://127.0.0.1:${to.port}`, job, devices);
  for (const line of lines) line.close();
  for (const [name, count] of [...happened].sort((a, b) => b[1] - a[1])) say(`  ${count} × ${name}`);
  say(
    `${result.typed} readings typed under ${wanted} faults in ${minutes()} min: ${result.lost.length} lost, ${result.doubled.length} doubled, ${result.unseen.length} not seen on both devices, ${result.unknown.length} kept that no page said it took.`,
  );
  for (const [what, list] of Object.entries(result))
    if (Array.isArray(list) && list.length > 0) say(`  ${what}: ${list.slice(0, 20).join(", ")}`);
  if (saved.includes(false)) say("  A device does not say that all is saved.");
  return (
    result.lost.length + result.doubled.length + result.unseen.length === 0 &&
    result.typed > 0 &&
    !saved.includes(false)
  );
}

function chosen() {
  const among = FAULTS.filter(({ name }) => name.includes(words.only));
  const total = among.reduce((sum, { weight }) => sum + weight, 0);
  let left = chance.between(0, total);
  for (const fault of among) {
    left -= fault.weight;
    if (left < 0) return fault;
  }
  throw new Error(`no fault is called “${words.only}”`);
}

const typedSoFar = () => devices.reduce((sum, { typed }) => sum + typed.length, 0);
const minutes = () => ((Date.now() - begun) / 60_000).toFixed(1);

let isGood = false;
try {
  isGood = await run();
} catch (error) {
  say(`It broke off: ${(error as Error).message}`);
} finally {
  for (const device of devices) device.remove();
  checkout.remove();
}
process.exit(isGood ? 0 : 1);
