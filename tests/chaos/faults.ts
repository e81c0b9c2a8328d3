import type { Started } from "../checkoutOfOwn";
import { type CheckoutOfOwn, signal } from "../checkoutOfOwn";
import { type Chance, pause } from "./chance";
import type { Device } from "./device";
import type { Line } from "./line";

/** All that faults befall. */
export interface World {
  readonly chance: Chance;
  readonly checkout: CheckoutOfOwn;
  readonly devices: readonly { readonly device: Device; readonly line: Line }[];
  /** The server as it runs; faults that end it put the next one here. */
  server: Started;
  readonly restart: () => Promise<void>;
}

/** Something that goes wrong, and comes right again before the next does. */
export interface Fault {
  readonly name: string;
  /** How often it is chosen, beside the others. */
  readonly weight: number;
  readonly happen: (world: World) => Promise<void>;
}

const some = ({ chance, devices }: World) => chance.one(devices);
const aWhile = ({ chance }: World) => pause(chance.between(800, 4000));

/** On a line for a while, then as before. */
async function onLine(world: World, change: (line: Line) => void): Promise<void> {
  const { line } = some(world);
  change(line);
  await aWhile(world);
  line.heal();
}

/** To a device while nobody types on it; typing goes on the moment it is over. */
const toDevice = (world: World, work: (device: Device) => Promise<void>) => {
  const { device } = some(world);
  return device.alone(() => work(device));
};

export const FAULTS: readonly Fault[] = [
  {
    name: "the line cut",
    weight: 4,
    happen: (world) =>
      onLine(world, (line) => {
        line.isCut = true;
      }),
  },
  {
    name: "answers lost",
    weight: 4,
    happen: (world) =>
      onLine(world, (line) => {
        line.losesAnswers = true;
      }),
  },
  {
    name: "uploads late and out of order",
    weight: 4,
    happen: (world) =>
      onLine(world, (line) => {
        line.delayMs = 5000;
      }),
  },
  {
    name: "old uploads again",
    weight: 3,
    happen: async (world) => {
      for (let i = 0; i < 5; i++) await some(world).line.replay();
    },
  },
  { name: "the page reloaded", weight: 4, happen: (world) => toDevice(world, (device) => device.reload()) },
  { name: "the tab crashed", weight: 3, happen: (world) => toDevice(world, (device) => device.crash()) },
  { name: "another tab", weight: 2, happen: (world) => toDevice(world, (device) => device.otherTab()) },
  { name: "the browser killed", weight: 4, happen: (world) => toDevice(world, (device) => device.kill()) },
  {
    name: "the browser frozen",
    weight: 2,
    happen: (world) => toDevice(world, (device) => device.freeze(world.chance.between(500, 3000))),
  },
  {
    name: "the browser killed with the line cut",
    weight: 3,
    happen: async (world) => {
      const { device, line } = some(world);
      line.isCut = true;
      await aWhile(world);
      await device.alone(() => device.kill());
      await aWhile(world);
      line.heal();
    },
  },
  {
    name: "the clock a day off",
    weight: 2,
    happen: (world) => toDevice(world, (device) => device.shiftClock(world.chance.one([-1, 0, 1]))),
  },
  {
    // What no storage keeps lives in the page alone, which says so: nothing befalls it until the server has it.
    name: "storage refusing what is written",
    weight: 3,
    happen: async (world) => {
      const { device } = some(world);
      await device.alone(() => device.refuse(true));
      await aWhile(world);
      await device.alone(async () => {
        await device.untilSaved();
        await device.refuse(false);
      });
    },
  },
  {
    name: "storage refused from the opening on",
    weight: 2,
    happen: async (world) => {
      const { device } = some(world);
      await device.alone(async () => {
        await device.untilSaved();
        await device.refuse(true);
        await device.reload();
      });
      await aWhile(world);
      await device.alone(async () => {
        await device.untilSaved();
        await device.refuse(false);
        await device.reload();
      });
    },
  },
  {
    name: "the server killed",
    weight: 4,
    happen: async (world) => {
      world.server.child.kill("SIGKILL");
      await aWhile(world);
      await world.restart();
    },
  },
  {
    name: "the server stopped in good order",
    weight: 2,
    happen: async (world) => {
      world.server.child.kill("SIGTERM");
      await world.server.ended;
      await world.restart();
    },
  },
  {
    name: "the server frozen",
    weight: 2,
    happen: async (world) => {
      world.server.child.kill("SIGSTOP");
      await aWhile(world);
      world.server.child.kill("SIGCONT");
    },
  },
  {
    name: "the database killed",
    weight: 3,
    happen: async (world) => {
      signal(world.checkout.postmaster() ?? 0, "SIGKILL");
      await aWhile(world);
    },
  },
  {
    name: "the database frozen",
    weight: 2,
    happen: async (world) => {
      const frozen = world.checkout.databaseProcesses();
      for (const pid of frozen) signal(pid, "SIGSTOP");
      await aWhile(world);
      for (const pid of frozen) signal(pid, "SIGCONT");
    },
  },
];
