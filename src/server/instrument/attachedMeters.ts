import { randomUUID } from "node:crypto";
import type { MeterAddress } from "@/contract";
import { type Meter, USUAL_METER } from "@/core";
import {
  configureLine,
  motorForLeads,
  type Network,
  type PoweredMachine,
  scpiMeter,
  scpiPowered,
  seededRandom,
} from "@/core/bench";
import type { InstrumentKind } from "@/core/proving";
import { privateHost } from "./privateHost";
import { type ScpiClient, scpiClient } from "./scpiClient";
import { type StandIn, serveInstrument } from "./standIn";

/** A meter that a page reads: a real one at an address, or the stand-in on a virtual motor; the server's line to it. */
export interface AttachedMeter {
  readonly id: string;
  /** Who attached it. */
  readonly client: string;
  readonly identity: string;
  readonly scpi: ScpiClient;
  /** The stand-in, whose probes the page moves; null for a real meter, whose probes are in somebody's hands. */
  readonly standIn: StandIn | null;
  /** What it measures now. */
  measures: InstrumentKind;
  usedMs: number;
  /** The number that the page gave its latest touch; each value is told with the touch it is of. */
  touch: number;
}

const MOST_IDENTITY = 120;
/** So many of one client and of all at once; the longest unused makes room, a client's own first. */
const MOST_OF_ONE = 6;
const MOST_OF_ALL = 24;
const IDLE_MS = 10 * 60_000;

/** Kept on the process, not the module: each route may be built with a copy of this file. */
const kept = globalThis as typeof globalThis & { oddLeadMeters?: Map<string, AttachedMeter> };
kept.oddLeadMeters ??= new Map();
const meters = kept.oddLeadMeters;

/**
 * Puts a virtual motor with these leads on the bench and a stand-in meter beside it; the same leads and seed are the
 * same motor.
 */
export async function openBench(
  client: string,
  leads: readonly string[],
  seed: number,
  meter: Meter = USUAL_METER,
): Promise<AttachedMeter> {
  const random = seededRandom(seed);
  const network: Network = motorForLeads(random, leads);
  const standIn = await serveInstrument(scpiMeter(network, meter, random));
  try {
    return await attached(client, await scpiClient(standIn.port), standIn, "ohms");
  } catch (error) {
    standIn.close();
    throw error;
  }
}

/** Puts stand-in instruments beside a powered virtual machine. */
export async function openPowered(client: string, machine: PoweredMachine): Promise<AttachedMeter> {
  const standIn = await serveInstrument(scpiPowered(machine));
  try {
    return await attached(client, await scpiClient(standIn.port), standIn, "amps");
  } catch (error) {
    standIn.close();
    throw error;
  }
}

/**
 * Attaches the meter at an address of the own network; rejects when none answers to its name there.
 *
 * @throws NoMeterThere
 */
export async function attachAt(
  client: string,
  address: MeterAddress,
  measures: InstrumentKind,
): Promise<AttachedMeter> {
  const host = await privateHost(address.host);
  if (host === null) throw new NoMeterThere("not-private");
  const scpi = await scpiClient(address.port, host).catch(() => null);
  if (!scpi) throw new NoMeterThere("no-answer");
  return attached(client, scpi, null, measures).catch(() => {
    scpi.close();
    throw new NoMeterThere("no-answer");
  });
}

/** Nothing that could be a meter of the own network answers at an address. */
export class NoMeterThere extends Error {
  constructor(readonly why: "not-private" | "no-answer") {
    super(why);
  }
}

async function attached(
  client: string,
  scpi: ScpiClient,
  standIn: StandIn | null,
  measures: InstrumentKind,
): Promise<AttachedMeter> {
  makeRoom(client, Date.now());
  const identity = (await scpi.query("*IDN?")).slice(0, MOST_IDENTITY);
  scpi.command(configureLine(measures));
  const made: AttachedMeter = {
    id: randomUUID(),
    identity,
    client,
    scpi,
    standIn,
    measures,
    usedMs: Date.now(),
    touch: -1,
  };
  meters.set(made.id, made);
  return made;
}

/** The meter of this id, marked as used; undefined when it is gone. */
export function attachedMeter(id: string): AttachedMeter | undefined {
  const meter = meters.get(id);
  if (meter) meter.usedMs = Date.now();
  return meter;
}

/** Detaches a meter; a stand-in goes with it. */
export function detach(id: string): void {
  const meter = meters.get(id);
  meter?.scpi.close();
  meter?.standIn?.close();
  meters.delete(id);
}

/** Detaches what was long unused, and what is one too many with the one to come. */
function makeRoom(client: string, nowMs: number): void {
  for (const meter of [...meters.values()]) if (nowMs - meter.usedMs > IDLE_MS) detach(meter.id);
  const oldestFirst = [...meters.values()].sort((a, b) => a.usedMs - b.usedMs);
  const own = oldestFirst.filter((meter) => meter.client === client);
  for (const meter of own.slice(0, Math.max(0, own.length + 1 - MOST_OF_ONE))) detach(meter.id);
  const left = oldestFirst.filter(({ id }) => meters.has(id));
  for (const meter of left.slice(0, Math.max(0, left.length + 1 - MOST_OF_ALL))) detach(meter.id);
}
