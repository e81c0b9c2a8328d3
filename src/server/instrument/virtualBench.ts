import { randomUUID } from "node:crypto";
import { type Meter, USUAL_METER } from "@/core";
import { motorForLeads, type Network, scpiMeter, seededRandom } from "@/core/bench";
import { type ScpiClient, scpiClient } from "./scpiClient";
import { type StandIn, serveMeter } from "./standIn";

/** A meter on the virtual bench: the stand-in, and the server's line to it. */
export interface BenchMeter {
  readonly id: string;
  readonly identity: string;
  readonly meter: Meter;
  readonly client: ScpiClient;
  readonly standIn: StandIn;
  usedMs: number;
  /** The number that the page gave its latest touch; each value is told with the touch it is of. */
  touch: number;
}

/** So many at once; the longest unused makes room. */
const MOST_METERS = 16;
const IDLE_MS = 10 * 60_000;

/** Kept on the process, not the module: each route may be built with a copy of this file. */
const kept = globalThis as typeof globalThis & { oddLeadMeters?: Map<string, BenchMeter> };
kept.oddLeadMeters ??= new Map();
const meters = kept.oddLeadMeters;

/**
 * Puts a virtual motor with these leads on the bench and a stand-in meter beside it; the same leads and seed are the
 * same motor.
 */
export async function openBench(
  leads: readonly string[],
  seed: number,
  meter: Meter = USUAL_METER,
): Promise<BenchMeter> {
  clearIdle(Date.now());
  const random = seededRandom(seed);
  const network: Network = motorForLeads(random, leads);
  const standIn = await serveMeter(scpiMeter(network, meter, random));
  try {
    const client = await scpiClient(standIn.port);
    const identity = await client.query("*IDN?");
    client.command("CONF:RES");
    const made: BenchMeter = {
      id: randomUUID(),
      identity,
      meter,
      client,
      standIn,
      usedMs: Date.now(),
      touch: -1,
    };
    meters.set(made.id, made);
    return made;
  } catch (error) {
    standIn.close();
    throw error;
  }
}

/** The meter of this id, marked as used; undefined when it is gone. */
export function benchMeter(id: string): BenchMeter | undefined {
  const meter = meters.get(id);
  if (meter) meter.usedMs = Date.now();
  return meter;
}

/** Takes a meter off the bench. */
export function closeBench(id: string): void {
  const meter = meters.get(id);
  meter?.client.close();
  meter?.standIn.close();
  meters.delete(id);
}

function clearIdle(nowMs: number): void {
  const oldestFirst = [...meters.values()].sort((a, b) => a.usedMs - b.usedMs);
  for (const [i, meter] of oldestFirst.entries()) {
    const tooMany = oldestFirst.length - i >= MOST_METERS;
    if (tooMany || nowMs - meter.usedMs > IDLE_MS) closeBench(meter.id);
  }
}
