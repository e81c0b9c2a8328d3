import { randomUUID } from "node:crypto";
import type { MeterAddress } from "@/contract";
import { type Meter, USUAL_METER } from "@/core";
import {
  configureLine,
  motorForLeads,
  type Network,
  type PoweredMachine,
  type ScpiInstrument,
  scpiMeter,
  scpiPowered,
  seededRandom,
} from "@/core/bench";
import type { InstrumentKind } from "@/core/proving";
import type { Database } from "../database";
import { type KeptMeter, meterStore } from "./meterStore";
import { privateHost } from "./privateHost";
import { type ScpiClient, scpiClient } from "./scpiClient";
import { type StandIn, serveInstrument } from "./standIn";

/** A meter that a page reads: a real one at an address, or the stand-in on a virtual motor; this process's line to it. */
export interface AttachedMeter extends KeptMeter {
  readonly scpi: ScpiClient;
}

const LOOPBACK = "127.0.0.1";
const MOST_IDENTITY = 120;

/** What this process has open. Kept on the process, not the module: each route may be built with a copy of this file. */
interface Here {
  readonly lines: Map<string, Promise<ScpiClient | null>>;
  readonly standIns: Map<string, StandIn>;
}
const kept = globalThis as typeof globalThis & { oddLeadMeters?: Here };
kept.oddLeadMeters ??= { lines: new Map(), standIns: new Map() };
const here = kept.oddLeadMeters;

/** The meters that pages read, for every process behind one database: the only way to them. */
export function attachedMeters(db: Database) {
  const store = meterStore(db);

  return {
    /**
     * Puts a virtual motor with these leads on the bench and a stand-in meter beside it; the same leads and seed are the
     * same motor.
     */
    openBench(
      client: string,
      leads: readonly string[],
      seed: number,
      meter: Meter = USUAL_METER,
    ): Promise<AttachedMeter> {
      const random = seededRandom(seed);
      const network: Network = motorForLeads(random, leads);
      return standing(client, (serial) => scpiMeter(network, meter, random, undefined, serial), "ohms");
    },

    /** Puts stand-in instruments beside a powered virtual machine. */
    openPowered(client: string, machine: PoweredMachine): Promise<AttachedMeter> {
      return standing(client, (serial) => scpiPowered(machine, serial), "amps");
    },

    /**
     * Attaches the meter at an address of the own network; rejects when none answers to its name there.
     *
     * @throws NoMeterThere
     */
    async attachAt(client: string, address: MeterAddress, measures: InstrumentKind): Promise<AttachedMeter> {
      const host = await privateHost(address.host);
      if (host === null) throw new NoMeterThere("not-private");
      const { port } = address;
      const scpi = await scpiClient(port, host).catch(() => null);
      const identity = await scpi?.query("*IDN?").catch(() => null);
      if (!scpi || identity === null || identity === undefined) {
        scpi?.close();
        throw new NoMeterThere("no-answer");
      }
      return attached({ id: randomUUID(), client, host, port, standIn: false, measures }, identity, scpi);
    },

    /** The meter of this id, with a line to it; undefined when it is gone, or does not answer to its name any more. */
    async find(id: string): Promise<AttachedMeter | undefined> {
      const found = await store.find(id);
      if (!found) {
        close(id);
        return undefined;
      }
      const scpi = await lineTo(found);
      if (scpi) return { ...found, scpi };
      await this.detach(id);
      return undefined;
    },

    /** The probes of a meter are moved by `work`, when their turn comes; what it shows meanwhile is told of no place. */
    moved: store.moved,

    /** Whether a meter is attached still, where it rests, and at which touch. */
    resting: async (id: string): Promise<number | null> => {
      const found = await store.find(id);
      return found && found.moving === null ? found.touch : null;
    },

    /** Detaches a meter; a stand-in goes with it, with the next that its own process attaches where that is another. */
    async detach(id: string): Promise<void> {
      await store.remove(id);
      close(id);
    },
  };

  async function standing(
    client: string,
    instrument: (serial: string) => ScpiInstrument,
    measures: InstrumentKind,
  ): Promise<AttachedMeter> {
    const id = randomUUID();
    const standIn = await serveInstrument(instrument(serialOf(id)));
    try {
      const scpi = await scpiClient(standIn.port);
      const identity = await scpi.query("*IDN?");
      const row = { id, client, host: LOOPBACK, port: standIn.port, standIn: true, measures };
      return await attached(row, identity, scpi, standIn);
    } catch (error) {
      standIn.close();
      throw error;
    }
  }

  async function attached(
    row: Omit<KeptMeter, "identity" | "touch" | "moving" | "movingUntil" | "usedAt">,
    identity: string,
    scpi: ScpiClient,
    standIn?: StandIn,
  ): Promise<AttachedMeter> {
    try {
      scpi.command(configureLine(row.measures));
      const made = await store.add({ ...row, identity: identity.slice(0, MOST_IDENTITY) });
      // Not before it is kept: what is here and not kept is closed.
      here.lines.set(row.id, Promise.resolve(scpi));
      if (standIn) here.standIns.set(row.id, standIn);
      await closeGone();
      return { ...made, scpi };
    } catch (error) {
      scpi.close();
      throw error;
    }
  }

  /** Closes what this process has open of meters that are attached no more, whoever detached them. */
  async function closeGone(): Promise<void> {
    const ids = [...new Set([...here.lines.keys(), ...here.standIns.keys()])];
    const there = await store.among(ids);
    for (const id of ids) if (!there.has(id)) close(id);
  }
}

/** Nothing that could be a meter of the own network answers at an address. */
export class NoMeterThere extends Error {
  constructor(readonly why: "not-private" | "no-answer") {
    super(why);
  }
}

function close(id: string): void {
  void here.lines.get(id)?.then((line) => line?.close());
  here.lines.delete(id);
  here.standIns.get(id)?.close();
  here.standIns.delete(id);
}

/** This process's line to a meter, made where there is none any more; null where nothing answers to its name there. */
function lineTo(meter: KeptMeter): Promise<ScpiClient | null> {
  const before = here.lines.get(meter.id);
  // At once in its place: who asks while it is being made waits for the same one.
  const line = before?.then((open) => (open && !open.isClosed() ? open : opened(meter))) ?? opened(meter);
  here.lines.set(meter.id, line);
  return line;
}

async function opened({ host, port, identity }: KeptMeter): Promise<ScpiClient | null> {
  const line = await scpiClient(port, host).catch(() => null);
  const named = await line?.query("*IDN?").catch(() => null);
  if (line && named?.slice(0, MOST_IDENTITY) === identity) return line;
  line?.close();
  return null;
}

/** Tells stand-ins apart, as the number on a meter's back does. */
function serialOf(id: string): string {
  return id.slice(0, 8).toUpperCase();
}
