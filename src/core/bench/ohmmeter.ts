import type { Network } from "../motor/network";
import { effectiveResistance } from "../ohms/effectiveResistance";
import { type Meter, readingSigmaOhms } from "../ohms/readingError";
import type { OhmsShown } from "../quantity/ohms";
import { gaussian, type Random } from "./random";

/** An ohmmeter on a virtual motor: shows what a real one would between two leads. */
export type Ohmmeter = (leadA: string, leadB: string) => OhmsShown;

/**
 * A simulated ohmmeter. Each reading is the network's effective resistance plus what the probes add, missed by a
 * normal error of the meter's standard deviation (cut off at twice that, the stated accuracy) and shown to the last
 * digit. Leads that nothing joins show over range.
 */
export function ohmmeter(network: Network, meter: Meter, random: Random): Ohmmeter {
  const table = effectiveResistance(network);
  const at = (lead: string) => {
    const junction = network.leadAt.get(lead);
    if (junction === undefined) throw new RangeError(`no lead ${lead} on this motor`);
    return junction;
  };
  return (leadA, leadB) => {
    const exact = (table[at(leadA)]?.[at(leadB)] ?? 0) + meter.probeOhms;
    if (!Number.isFinite(exact)) return { open: true };
    const miss = Math.max(-2, Math.min(2, gaussian(random))) * readingSigmaOhms(exact, meter);
    const digits = Math.round(Math.max(0, exact + miss) / meter.resolutionOhms);
    return { ohms: Number((digits * meter.resolutionOhms).toFixed(6)) };
  };
}
