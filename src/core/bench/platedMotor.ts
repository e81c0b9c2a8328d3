import { feedingOf } from "../machine/feedingOf";
import { ratingOf } from "../machine/rating";
import { type KnownMotor, woundMotor } from "../machine/woundMotor";
import type { Variant } from "../motor/family";
import type { Plate } from "../motor/plate/plate";
import { hiddenEnd } from "../motor/sectionEnd";
import type { Random } from "./random";
import { randomMotor, type VirtualMotor } from "./randomMotor";

/** A motor of the bench with the plate that its windings go with. */
export interface PlatedMotor {
  readonly motor: VirtualMotor;
  readonly known: KnownMotor;
  readonly plate: Plate;
}

/** Volts a run capacitor is rated for on each supply: the usual sizes. */
const CAPACITOR_VOLTS = 440;
/** Digits of a plate. */
const DIGITS = 2;

/**
 * A random motor of a family whose plate fits its ohms: amps from its copper, power, speed and capacitor from those.
 *
 * @param volts between lines: at the high setting of a motor with two.
 */
export function platedMotor(
  random: Random,
  family: string,
  leadCount: number,
  volts: number,
  keep?: (build: Variant) => boolean,
): PlatedMotor {
  const motor = randomMotor(random, family, leadCount, keep);
  const known = knownOf(motor);
  const wound = woundMotor(known, motor.leads);
  if (!wound) return { motor, known, plate: {} };
  const ranges = feedingOf(wound).twoVoltages
    ? [volts / (feedingOf(wound).settingRatio ?? 2), volts].map(same)
    : [same(volts)];
  const rating = ratingOf(wound, { volts: ranges }, volts);
  return {
    motor,
    known,
    plate: {
      volts: ranges,
      hertz: [rating.hertz],
      phase: feedingOf(wound).phases,
      rpm: Math.round(rating.rpm / 5) * 5,
      powerWatts: [digits(rating.watts)],
      fullLoadAmps: [digits(rating.amps)],
      ...(rating.runMicrofarads === null
        ? {}
        : { runCapacitor: { microfarads: digits(rating.runMicrofarads), volts: CAPACITOR_VOLTS } }),
    },
  };
}

/** What an identification that is right would say of a virtual motor. */
export function knownOf({ family, network, roles }: VirtualMotor): KnownMotor {
  const leadsAt = Array.from({ length: network.junctions }, (_, junction) =>
    [...network.leadAt].filter(([, at]) => at === junction).map(([id]) => id),
  );
  const hidden = leadsAt.flatMap((leads, junction) => (leads.length === 0 ? [junction] : []));
  const name = (junction: number) => leadsAt[junction]?.[0] ?? hiddenEnd(hidden.indexOf(junction) + 1);
  return {
    family,
    roles: Object.fromEntries(roles),
    bonded: leadsAt.filter((leads) => leads.length > 1),
    sections: network.sections.map(({ from, to, ohms, winding }) => ({
      between: [name(from), name(to)],
      ohms,
      winding,
    })),
  };
}

function same(volts: number): { low: number; high: number } {
  const rounded = Math.round(volts);
  return { low: rounded, high: rounded };
}

function digits(value: number): number {
  return Number(value.toPrecision(DIGITS));
}
