import { BEARINGS, type Plate, PROTECTORS, SHAFT_FORMS, SHAFT_POSITIONS } from "../motor/plate/plate";
import { formatLength } from "../quantity/length";
import { digits } from "../quantity/number";
import { formatHp, STANDARD_HP, WATTS_PER_HP } from "../quantity/power";
import { connectionFor } from "../quantity/volts";
import type { Weight } from "../quantity/weight";
import { densityRatio, powerTimes } from "./fanLaw";
import type { Candidate, Need } from "./need";
import { leadWatts, powerLeadFor, samePower } from "./powerLead";
import type { Words } from "./words";

/** What a soft rule says: points off the best, and why. */
export interface SoftVerdict {
  /** 0 is as good as it gets; more is worse. */
  readonly points: number;
  readonly weight: Exclude<Weight, "stop">;
  readonly says: Words;
}

/** A rule that ranks: null where it has nothing to say of this pair. */
export interface SoftRule {
  readonly id: string;
  readonly title: string;
  /** What the need decides by itself holds for every candidate; else each is judged. */
  readonly judge: (need: Need) => SoftVerdict | null | ((candidate: Candidate) => SoftVerdict | null);
}

const good = (says: Words): SoftVerdict => ({ points: 0, weight: "good", says });
const costs = (points: number, says: Words): SoftVerdict => ({ points, weight: "again", says });

/** A rule that compares what both plates say of one thing; it says nothing where either does not tell. */
function compared<T>(
  of: (plate: Plate) => T | undefined,
  judge: (was: T, is: T) => SoftVerdict,
): SoftRule["judge"] {
  return ({ old }) => {
    const was = of(old);
    if (was === undefined) return null;
    return ({ plate }) => {
      const is = of(plate);
      return is === undefined ? null : judge(was, is);
    };
  };
}

const MOST_AMPS_SHARE = 1.15;

/** The soft rules, weightiest first. Points of one rule against another's say which a technician would rather accept. */
export const SOFT_RULES: readonly SoftRule[] = [
  {
    id: "power",
    title: "Power: equal is best, up to the next standard size is good, more costs amps and body",
    judge: ({ old }) => {
      const oldWatts = old.powerWatts && Math.max(...old.powerWatts);
      if (oldWatts === undefined) return null;
      return ({ plate: { powerWatts } }) => {
        if (!powerWatts) return null;
        const watts = leadWatts(powerWatts, oldWatts);
        if (watts === undefined) return null;
        const many = () => (powerWatts.length > 1 ? ` ${powerLeadFor(powerWatts, oldWatts)?.says}` : "");
        if (samePower(watts, oldWatts)) return good(() => `${formatHp(watts)} hp, the same power.${many()}`);
        const steps = stepsAbove(watts, oldWatts);
        const words = () => `${formatHp(watts)} hp for ${formatHp(oldWatts)}`;
        return steps <= 1
          ? costs(6, () => `${words()}: the next standard size up, good.${many()}`)
          : costs(
              6 + 10 * (steps - 1),
              () => `${words()}: ${steps} standard sizes up; it costs amps and body.${many()}`,
            );
      };
    },
  },
  {
    id: "amps",
    title: "Full-load amps within +15 % of the old, or check contactor, breaker and wire",
    judge: ({ old, supplyVolts }) => {
      const was = ampsAt(old, supplyVolts);
      if (was === null) return null;
      return ({ plate }) => {
        const is = ampsAt(plate, supplyVolts ?? old.volts?.[0]?.high);
        if (is === null) return null;
        const share = is / was;
        const numbers = () => `${digits(is)} A for ${digits(was)} A, ${moreOrLess(share)} than the old motor`;
        if (share <= MOST_AMPS_SHARE + 1e-9) return good(() => `${numbers()}: fine.`);
        return costs(
          10 + 20 * (share - MOST_AMPS_SHARE),
          () => `${numbers()}: check contactor, breaker and wire upstream.`,
        );
      };
    },
  },
  {
    id: "rpm",
    title: "A blade asks for power with the cube of speed",
    judge: ({ old: { rpm: was } }) => {
      if (was === undefined) return null;
      return ({ plate: { rpm: is, kind } }) => {
        if (is === undefined || kind === "retrofit") return null;
        const times = powerTimes(is, was);
        if (Math.abs(times - 1) < 0.01) return good(() => `${is} rpm, the same speed.`);
        const numbers = () =>
          `${is} rpm for ${was}: the blade asks for (${is}/${was})³ = ${times.toFixed(2)} times the power`;
        return costs(times > 1 ? 40 * (times - 1) : 15 * (1 - times), () =>
          times > 1.05 ? `${numbers()}.` : `${numbers()}; a little ${times > 1 ? "more" : "less"} air.`,
        );
      };
    },
  },
  {
    id: "speeds",
    title: "Speeds at least those in use",
    judge: ({ old, speedsInUse }) => {
      const wanted = speedsInUse ?? old.speeds;
      if (wanted === undefined) return null;
      return ({ plate: { speeds } }) => {
        if (speeds === undefined)
          return wanted > 1
            ? costs(12, () => `How many speeds it has is not said; ${wanted} are in use.`)
            : null;
        return speeds >= wanted
          ? good(
              () =>
                `${count(speeds, "speed")} for ${wanted} in use${speeds > wanted ? "; the others capped, each on its own" : ""}.`,
            )
          : costs(
              25 * (wanted - speeds),
              () => `${count(speeds, "speed")} only, ${wanted} in use: two calls would share one.`,
            );
      };
    },
  },
  {
    id: "service-factor",
    title: "Service factor not lower",
    judge: ({ old: { serviceFactor: was } }) => {
      if (was === undefined) return null;
      return ({ plate }) => {
        const is = plate.serviceFactor ?? 1;
        return is >= was
          ? good(() => `Service factor ${digits(is)}, not lower.`)
          : costs(8, () => `Service factor ${digits(is)} against ${digits(was)}: less to spare.`);
      };
    },
  },
  {
    id: "body-diameter",
    title: "Body diameter as the band or bracket has it",
    judge: compared(
      ({ bodyDiameterMm }) => bodyDiameterMm,
      (was, is) =>
        Math.abs(was - is) <= 3
          ? good(() => `Body ${formatLength(is)} across, as the old one.`)
          : costs(
              6,
              () => `Body ${formatLength(is)} across, the old one ${formatLength(was)}: see to the mount.`,
            ),
    ),
  },
  {
    id: "body-length",
    title: "Where two bodies serve, the smaller",
    judge: compared(
      ({ bodyLengthMm }) => bodyLengthMm,
      (was, is) => {
        return is <= was + 3
          ? good(() => `Body ${formatLength(is)} long, no longer than the old one.`)
          : costs(
              Math.min(12, (is - was) / 4),
              () =>
                `Body ${formatLength(is)} long, ${formatLength(is - was)} longer than the old one: check the room.`,
            );
      },
    ),
  },
  {
    id: "shaft-length",
    title: "The shaft reaches the blade’s place; too long is cut after a dry fit, too short is not mended",
    judge: compared(
      ({ shaftLengthMm }) => shaftLengthMm,
      (was, is) => {
        if (is < was - 3)
          return costs(
            25,
            () =>
              `Shaft ${formatLength(is)} long, ${formatLength(was - is)} shorter than the old: see that the hub still reaches.`,
          );
        return is > was + 3
          ? costs(2, () => `Shaft ${formatLength(is)} long: cut to ${formatLength(was)} after a dry fit.`)
          : good(() => `Shaft ${formatLength(is)} long, as the old one.`);
      },
    ),
  },
  {
    id: "shaft-form",
    title: "The set screw has its flat, the key its keyway",
    judge: compared(
      ({ shaftForm }) => shaftForm,
      (was, is) => {
        const serves = was === is || was === "round" || (was === "flat" && is === "two-flats");
        return serves
          ? good(() => `Shaft with ${SHAFT_FORMS[is]}: the hub fits it.`)
          : costs(
              10,
              () => `Shaft with ${SHAFT_FORMS[is]}, the old one with ${SHAFT_FORMS[was]}: see to the hub.`,
            );
      },
    ),
  },
  {
    id: "bearings",
    title: "Bearings alike",
    judge: compared(
      ({ bearings }) => bearings,
      (was, is) => {
        if (was === is) return good(() => `${capital(BEARINGS[is])}, as the old one.`);
        return is === "ball"
          ? costs(1, "Ball bearings for sleeve: they stand any position, and are heard a little.")
          : costs(8, "Sleeve bearings for ball: look at the position and the belt’s pull.");
      },
    ),
  },
  {
    id: "protector",
    title: "Protector alike",
    judge: compared(
      ({ protector }) => protector,
      (was, is) => {
        if (was === is) return good(() => `${capital(PROTECTORS[is])}, as the old one.`);
        return costs(is === "none" ? 30 : 10, () =>
          is === "auto"
            ? "Its protector resets itself, the old one’s did not: not where a restart surprises a hand."
            : `${capital(PROTECTORS[is])}; the old one had ${article(PROTECTORS[was])}.`,
        );
      },
    ),
  },
  {
    id: "orientation",
    title: "Drains and shield for the way it points",
    judge: ({ old }) => {
      const [place] = old.positions ?? [];
      if (place === undefined || place === "level") return null;
      return ({ plate: { weepPlugs } }) => {
        if (weepPlugs === undefined) return null;
        return weepPlugs
          ? good(
              () => `Drain holes: take the lowest plug out, leave the others in (${SHAFT_POSITIONS[place]}).`,
            )
          : costs(
              6,
              () => `No drain holes, and it sits ${SHAFT_POSITIONS[place]}: water must have a way out.`,
            );
      };
    },
  },
  {
    id: "lead-length",
    title: "Leads long enough",
    judge: compared(
      ({ leadLengthMm }) => leadLengthMm,
      (was, is) => {
        return is >= was - 25
          ? good(() => `Leads ${formatLength(is)}, long enough.`)
          : costs(4, () => `Leads ${formatLength(is)}, ${formatLength(was - is)} shorter.`);
      },
    ),
  },
  {
    id: "altitude",
    title: "Thin air loads less and cools less",
    judge: ({ old: { altitudeM } }) => {
      if (altitudeM === undefined || altitudeM <= 1000) return null;
      const share = Math.round(100 * densityRatio(altitudeM));
      return costs(
        0,
        () =>
          `At ${Math.round(altitudeM)} m the air is ${share} % as dense: the fan asks ${share} % of the power, and the motor is cooled that much less.`,
      );
    },
  },
  {
    id: "capacitor",
    title: "The capacitor goes with the NEW motor",
    judge:
      ({ old }) =>
      ({ plate }) => {
        const [was, is] = [old.runCapacitor, plate.runCapacitor];
        if (!is) return null;
        const volts = () => (is.volts === undefined ? "" : ` at ${is.volts} V`);
        if (!was)
          return costs(
            1,
            () => `Run capacitor ${digits(is.microfarads)} µF${volts()}: as this motor’s plate says.`,
          );
        return Math.abs(was.microfarads / is.microfarads - 1) <= 0.06
          ? good(() => `Run capacitor ${digits(is.microfarads)} µF, the same value as the old one’s.`)
          : costs(
              2,
              () =>
                `Run capacitor ${digits(is.microfarads)} µF${volts()} instead of ${digits(was.microfarads)}: change it with the motor.`,
            );
      },
  },
  {
    id: "stock",
    title: "Truck stock first, then order",
    judge:
      () =>
      ({ count: on }) =>
        on > 0 ? good(() => `${on} on the truck.`) : costs(15, "Not on the truck: to be ordered."),
  },
];

/** Standard sizes between two powers; the next size up is one. */
export function stepsAbove(watts: number, oldWatts: number): number {
  const [hp, was] = [watts / WATTS_PER_HP, oldWatts / WATTS_PER_HP];
  let steps = 0;
  for (const standard of STANDARD_HP) if (standard > was * 1.02 && standard <= hp * 1.02) steps += 1;
  return steps || 1;
}

/** Amps at the supply: the figure of the connection that suits it, or the only one. */
export function ampsAt(plate: Plate, supplyVolts: number | undefined): number | null {
  const { fullLoadAmps, volts } = plate;
  const [first] = fullLoadAmps ?? [];
  if (first === undefined) return null;
  if (fullLoadAmps?.length === 1 || supplyVolts === undefined || !volts) return first;
  const connection = connectionFor(volts, supplyVolts);
  const at = connection ? volts.indexOf(connection) : 0;
  return fullLoadAmps?.[at] ?? first;
}

function count(n: number, word: string): string {
  return `${n} ${word}${n === 1 ? "" : "s"}`;
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}

function article(text: string): string {
  return text.startsWith("no ") ? text.replace(/^no /, "none, no ") : `a ${text}`;
}

/** A ratio as it is said: "33 % less"; "no more" where it rounds to nothing. */
function moreOrLess(share: number): string {
  const percent = Math.round(Math.abs(100 * (share - 1)));
  return percent === 0 ? "no more" : `${percent} % ${share > 1 ? "more" : "less"}`;
}
