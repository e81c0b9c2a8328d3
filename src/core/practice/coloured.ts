import { type Random, shuffled } from "../bench/random";
import type { Lead } from "../motor/lead";

/** Colours as they hang out of a motor: in no order that would give anything away. */
const COLOURS: readonly (readonly [string, string?])[] = [
  ["white"],
  ["black"],
  ["red"],
  ["blue"],
  ["brown"],
  ["yellow"],
  ["orange"],
  ["violet"],
  ["grey"],
  ["pink"],
  ["brown", "white"],
  ["white", "black"],
];

/** Leads with colours drawn at random, no two alike. */
export function coloured(random: Random, leads: readonly Lead[]): Lead[] {
  const colours = shuffled(random, COLOURS);
  return leads.map(({ id }, i) => {
    const [colour = "white", stripe] = colours[i] ?? [];
    return stripe === undefined ? { id, colour } : { id, colour, stripe };
  });
}
