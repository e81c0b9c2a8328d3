import { seededRandom } from "../../src/core/bench";
import { CheckoutOfOwn } from "../checkoutOfOwn";
import { type Account, account } from "./account";
import { Chance, pause } from "./chance";
import { Device } from "./device";
import { FAULTS, type Fault, type World } from "./faults";
import { Line } from "./line";

/** Between a fault and the next; between a reading and the next. */
const CALM_MS = [500, 2500] as const;
const PACE_MS = [600, 1800] as const;
const LEADS = ["BK", "BU", "RD"] as const;
/** Each device asks every few seconds what the other entered. */
const TO_MEET_MS = 10_000;
const TOLD_EVERY = 25;

/** What is to be tried. */
export interface TrialAsk {
  readonly faults: number;
  readonly seed: number;
  /** Faults with this in their name alone; "" for all. */
  readonly only: string;
}

/**
 * Readings typed at a human's pace on two devices at one job, whose clocks are a day off each its own way, while one fault
 * after another happens. Says what became of what was typed; whether all of it is there, once, and on both devices.
 */
export async function trial({ faults, seed, only }: TrialAsk, say: (line: string) => void): Promise<boolean> {
  const chance = new Chance(seededRandom(seed));
  const checkout = new CheckoutOfOwn();
  const devices = [
    new Device("one", LEADS, 100, 1, chance.apart(seededRandom)),
    new Device("other", LEADS, 500, -1, chance.apart(seededRandom)),
  ] as const;
  const begun = Date.now();
  const minutes = () => ((Date.now() - begun) / 60_000).toFixed(1);
  const typedSoFar = () => devices.reduce((sum, { typed }) => sum + typed.length, 0);
  try {
    const { world, job, to } = await begin(checkout, devices, chance);
    say(`Two devices at one job, ${faults} faults, seed ${seed}.`);
    const stop = typeOn(devices, chance);
    const happened = new Map<string, number>();
    const course: Happened[] = [];
    for (let n = 1; n <= faults; n++) {
      const fault = chosen(chance, only);
      happened.set(fault.name, (happened.get(fault.name) ?? 0) + 1);
      const at = { name: fault.name, from: Date.now(), to: Number.POSITIVE_INFINITY };
      course.push(at);
      try {
        await fault.happen(world);
      } catch (error) {
        throw new Error(`fault ${n}, ${fault.name}: ${(error as Error).message}`);
      }
      at.to = Date.now();
      if (n % TOLD_EVERY === 0) say(`${n} faults, ${typedSoFar()} readings, ${minutes()} min`);
      await pause(chance.between(...CALM_MS));
    }
    await stop();
    for (const { line } of world.devices) line.heal();
    const saved = await Promise.all(devices.map((device) => device.untilSaved(120_000)));
    await pause(TO_MEET_MS);
    const result = await account(to, job, devices);
    for (const { line } of world.devices) line.close();
    for (const [name, count] of [...happened].sort((a, b) => b[1] - a[1])) say(`  ${count} × ${name}`);
    for (const device of devices)
      for (const { value, at } of device.typed)
        if (result.lost.includes(value))
          say(`  ${value} on device ${device.name}: ${around(course, device, at)}`);
    if (saved.includes(false)) say("  A device does not say that all is saved.");
    say(`${faults} faults in ${minutes()} min: ${inWords(result)}`);
    return isWhole(result) && !saved.includes(false);
  } catch (error) {
    say(`It broke off: ${(error as Error).message}`);
    return false;
  } finally {
    for (const device of devices) device.remove();
    checkout.remove();
  }
}

/** A fault with when it happened. */
interface Happened {
  readonly name: string;
  readonly from: number;
  to: number;
}

/** What happened around the time at which something was typed. */
function around(course: readonly Happened[], device: Device, at: number): string {
  const near = course.filter(({ from, to }) => from < at + 8000 && to > at - 2000);
  const ended = device.ended.find((time) => time >= at);
  const faults = near.map(({ name, from, to }) => `${name} from ${from - at} to ${to - at} ms`).join(", ");
  return `${faults}; its browser or page ended ${ended === undefined ? "never" : `${ended - at} ms`} after`;
}

/** A server, a job on it, and both devices at that job, each over a line of its own. */
async function begin(checkout: CheckoutOfOwn, [one, other]: readonly [Device, Device], chance: Chance) {
  const port = Number(process.env.PORT);
  const start = () => checkout.start({ PORT: String(port) });
  const server = start();
  await server.address;
  const [first, second] = await Promise.all([
    Line.to({ port }, chance.apart(seededRandom)),
    Line.to({ port }, chance.apart(seededRandom)),
  ]);
  const world: World = {
    chance,
    checkout,
    devices: [
      { device: one, line: first },
      { device: other, line: second },
    ],
    server,
    restart: async () => {
      world.server = start();
      await world.server.address;
    },
  };
  const path = await one.startMotor(first.address);
  await other.open(second.address + path);
  for (const { device } of world.devices) await device.untilKept();
  return { world, job: path.split("/")[2] ?? "", to: `http://127.0.0.1:${port}` };
}

/** Types on every device until told to stop. */
function typeOn(devices: readonly Device[], chance: Chance): () => Promise<void> {
  let isOver = false;
  const typing = devices.map(async (device) => {
    while (!isOver) {
      await device.alone(() => device.type());
      await pause(chance.between(...PACE_MS));
    }
  });
  return async () => {
    isOver = true;
    await Promise.all(typing);
  };
}

function chosen(chance: Chance, only: string): Fault {
  const among = FAULTS.filter(({ name }) => name.includes(only));
  const total = among.reduce((sum, { weight }) => sum + weight, 0);
  let left = chance.between(0, total);
  for (const fault of among) {
    left -= fault.weight;
    if (left < 0) return fault;
  }
  throw new Error(`no fault is called “${only}”`);
}

function isWhole({ typed, lost, doubled, unseen }: Account): boolean {
  return typed > 0 && lost.length + doubled.length + unseen.length === 0;
}

function inWords({ typed, lost, doubled, unseen, unknown }: Account): string {
  const told = (what: string, list: readonly string[]) =>
    `${list.length} ${what}${list.length > 0 ? ` (${list.slice(0, 20).join(", ")})` : ""}`;
  return [
    `${typed} readings typed`,
    told("lost", lost),
    told("doubled", doubled),
    told("not seen on both devices", unseen),
    told("kept of which no page said that it took them", unknown),
  ].join(", ");
}
