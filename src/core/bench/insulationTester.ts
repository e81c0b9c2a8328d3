import { connectedGroups } from "../motor/connectedGroups";
import type { Network } from "../motor/network";
import { gaussian, type Random } from "./random";

/** A path from a junction of the motor to its shell, through insulation that is never perfect. */
export interface ShellLeak {
  readonly junction: number;
  /** Megohms at a winding temperature of 40 °C. */
  readonly megohmsAt40C: number;
}

/** What an insulation tester's display says: megohms, or that they are more than it can show. */
export type InsulationShown = { readonly megohms: number } | { readonly overMegohms: number };

/** An insulation tester on a virtual motor: one clip on a lead, the other on bare metal of the shell. */
export type InsulationTester = (lead: string) => InsulationShown;

/** The most a small tester shows at 500 V, megohms, and how far it may miss: a share of the reading. */
const TOP_MEGOHMS = 2000;
const ACCURACY_SHARE = 0.03;
/** Insulation resistance halves for every so many °C that the winding is warmer (IEEE 43). */
const HALVING_C = 10;
const MICROSIEMENS_PER_SIEMENS = 1e6;

/**
 * A simulated insulation tester at 500 V DC. The ohms of the windings are nothing beside megohms, so a group of
 * windings that hang together has one potential, and its leaks to the shell are side by side. A group without a leak
 * reads over the top of the scale. The reading is missed by a normal error of the tester's accuracy and shown to two
 * digits.
 *
 * @param windingC temperature of the windings, °C.
 */
export function insulationTester(
  network: Network,
  leaks: readonly ShellLeak[],
  windingC: number,
  random: Random,
): InsulationTester {
  const group = connectedGroups(network.junctions, network.sections);
  return (lead) => {
    const junction = network.leadAt.get(lead);
    if (junction === undefined) throw new RangeError(`no lead ${lead} on this motor`);
    const warm = 2 ** ((windingC - 40) / HALVING_C);
    const siemens = leaks
      .filter((leak) => group[leak.junction] === group[junction])
      .reduce((sum, leak) => sum + warm / (leak.megohmsAt40C * MICROSIEMENS_PER_SIEMENS), 0);
    const megohms = (1 + ACCURACY_SHARE * gaussian(random)) / (siemens * MICROSIEMENS_PER_SIEMENS);
    if (!(megohms <= TOP_MEGOHMS)) return { overMegohms: TOP_MEGOHMS };
    return { megohms: Math.max(0, Number(megohms.toPrecision(2))) };
  };
}
