import type { Rating } from "../machine/rating";
import { capacitorAt } from "./capacitorsInCircuit";
import type { Instrument, Measured, ProvingObservation } from "./observation";
import type { ProvingCase } from "./provingCase";

/** A figure that an instrument can show there, made or not. */
export type Reading =
  | { readonly what: "line-amps" | "start-amps"; readonly call: string; readonly lead: string }
  | { readonly what: "supply-volts"; readonly call: string; readonly between: readonly [string, string] }
  | { readonly what: "capacitor-volts" | "capacitor-amps"; readonly call: string; readonly at: string }
  | { readonly what: "rpm"; readonly call: string }
  | { readonly what: "ohms"; readonly between: readonly [string, string] }
  | { readonly what: "capacitor-microfarads"; readonly at: string };

export type ReadingKind = Reading["what"];

/** How a kind of figure is weighed. */
interface Weighing {
  /** Under this a figure is as good as none: it is added before the logarithm is taken. */
  readonly least: (rating: Rating) => number;
  /** What the model itself is good to, of the logarithm: iron loss, saturation, harmonics are not in it. */
  readonly model: number;
  /** The most that what is open moves it, of the logarithm: beyond, the machine falls out of step and no line is straight. */
  readonly steepest?: number;
  /** Last digit of a usual instrument. */
  readonly resolution: number;
}

const ofAmps = (share: number) => (rating: Rating) => share * rating.amps;
const plain = (least: number) => () => least;

export const WEIGHING: Readonly<Record<ReadingKind, Weighing>> = {
  "line-amps": { least: ofAmps(0.03), model: 0.035, resolution: 0.01 },
  "start-amps": { least: ofAmps(0.1), model: 0.12, resolution: 0.1 },
  "supply-volts": { least: plain(3), model: 0.005, resolution: 1 },
  "capacitor-volts": { least: plain(4), model: 0.03, resolution: 1 },
  "capacitor-amps": { least: ofAmps(0.03), model: 0.045, resolution: 0.01 },
  rpm: { least: plain(20), model: 0.0035, steepest: 0.3, resolution: 1 },
  ohms: { least: plain(0.4), model: 0.02, resolution: 0.1 },
  "capacitor-microfarads": { least: plain(0.15), model: 0.015, resolution: 0.01 },
};

const USUAL: Instrument = { percent: 2, counts: 5 };
/** A maker's accuracy is its limit: two standard deviations. */
const LIMIT_SIGMAS = 2;
/** What stands for open, ohms. */
const OPEN = 1e6;

/** The logarithm that a figure is weighed by. */
export function weighed(kind: ReadingKind, value: number, rating: Rating): number {
  return Math.log(Math.min(value, OPEN) + WEIGHING[kind].least(rating));
}

/** The figure of such a logarithm. */
export function unweighed(kind: ReadingKind, log: number, rating: Rating): number {
  return Math.max(0, Math.exp(log) - WEIGHING[kind].least(rating));
}

/** Variance of a figure's logarithm by its instrument alone. */
export function meterVariance(
  kind: ReadingKind,
  value: number,
  rating: Rating,
  meter: Instrument | undefined,
): number {
  const { percent, counts, resolution = WEIGHING[kind].resolution } = meter ?? USUAL;
  const sd = ((percent / 100) * value + counts * resolution) / LIMIT_SIGMAS;
  return (sd / (value + WEIGHING[kind].least(rating))) ** 2;
}

/** The same figure, whenever it is read. */
export function readingKey(reading: Reading): string {
  switch (reading.what) {
    case "line-amps":
    case "start-amps":
      return [reading.what, reading.call, reading.lead].join("\n");
    case "supply-volts":
      return [reading.what, reading.call, ...[...reading.between].sort()].join("\n");
    case "capacitor-volts":
    case "capacitor-amps":
      return [reading.what, reading.call, reading.at].join("\n");
    case "rpm":
      return [reading.what, reading.call].join("\n");
    case "ohms":
      return [reading.what, ...[...reading.between].sort()].join("\n");
    case "capacitor-microfarads":
      return [reading.what, reading.at].join("\n");
  }
}

/** What an observation measured, its places by the case's own names; null for one that is no figure, or of an unknown place. */
export function measured(
  made: ProvingCase,
  seen: ProvingObservation,
): { readonly reading: Reading; readonly value: number; readonly meter: Instrument | undefined } | null {
  const reading = readingOf(made, seen);
  if (!reading) return null;
  const of = seen as Measured;
  return { reading, value: measuredFigure(of), meter: of.meter };
}

/** The number of a measurement in the unit of its kind; infinite where it read open. */
export function measuredFigure(seen: Measured): number {
  switch (seen.what) {
    case "line-amps":
    case "capacitor-amps":
      return seen.amps;
    case "supply-volts":
    case "capacitor-volts":
      return seen.volts;
    case "rpm":
      return seen.rpm;
    case "start-amps":
      return seen.peak;
    case "ohms":
      return seen.ohms ?? Number.POSITIVE_INFINITY;
    case "capacitor-microfarads":
      return seen.microfarads;
  }
}

function readingOf(made: ProvingCase, seen: ProvingObservation): Reading | null {
  const known = (call: string) => made.calls.some(({ state }) => state.id === call);
  const at = (name: string) => capacitorAt(made, name)?.at ?? null;
  switch (seen.what) {
    case "line-amps":
    case "start-amps":
      return known(seen.call) ? { what: seen.what, call: seen.call, lead: seen.lead } : null;
    case "supply-volts": {
      const call = seen.call ?? made.calls[0]?.state.id;
      return call !== undefined && known(call) ? { what: seen.what, call, between: seen.between } : null;
    }
    case "capacitor-volts":
    case "capacitor-amps": {
      const place = at(seen.at);
      return place !== null && known(seen.call) ? { what: seen.what, call: seen.call, at: place } : null;
    }
    case "rpm":
      return known(seen.call) ? { what: seen.what, call: seen.call } : null;
    case "ohms":
      return { what: "ohms", between: seen.between };
    case "capacitor-microfarads": {
      const place = at(seen.at);
      return place === null ? null : { what: seen.what, at: place };
    }
    default:
      return null;
  }
}
