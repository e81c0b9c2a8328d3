import type { Network } from "../motor/network";
import type { Meter } from "../ohms/readingError";
import type { OhmsShown } from "../quantity/ohms";
import { ohmmeter } from "./ohmmeter";
import type { Random } from "./random";
import {
  namesOf,
  numberOf,
  SCPI_OVERLOAD,
  ScpiErrors,
  type ScpiInstrument,
  scientific,
  scpiInstrument,
} from "./scpiLine";

/** What the probes of the virtual meter are on: two leads, a lead and the shell, or nothing. */
export type Probes = readonly [string, string] | readonly [string, null] | null;

/** After the probes touch, the display shows over range for so long and then comes to rest, as a hand feels it. */
const CONTACT_MS = 200;
const SETTLING_MS = 220;
/** How far off the first value is, as a share of it. */
const FIRST_MISS = 0.12;

/**
 * A bench ohmmeter that speaks SCPI (*IDN?, *RST, *CLS, CONFigure:RESistance, READ?, MEASure:RESistance?, SYSTem:ERRor?),
 * on a virtual motor. Two commands are its own, since it has no hands: ROUTe:TOUCh "lead","lead" (or SHELL) puts the
 * probes on, ROUTe:RELease lifts them.
 *
 * @param network the motor; leads are named as in `network.leadAt`.
 * @param shellOhms what a lead reads to the shell; open where null.
 * @param serial tells one such meter from another.
 */
export function scpiMeter(
  network: Network,
  meter: Meter,
  random: Random,
  shellOhms: (lead: string) => number | null = () => null,
  serial = "0",
): ScpiInstrument {
  const read = ohmmeter(network, meter, random);
  const errors = new ScpiErrors();
  let probes: Probes = null;
  let touchedMs = 0;
  /** One error per contact: a real meter is off by the same as long as the probes stay. */
  let rest: OhmsShown = { open: true };

  const fail = errors.add;

  const touch = (argument: string, nowMs: number): null => {
    const names = namesOf(argument);
    const [one, other] = names;
    if (names.length !== 2 || !one || !other) return fail('-109,"Missing parameter"');
    const shell = /^shell$/i.test(other);
    if (!network.leadAt.has(one) || !(shell || network.leadAt.has(other)))
      return fail('-224,"Illegal parameter value; no such lead"');
    probes = shell ? [one, null] : [one, other];
    touchedMs = nowMs;
    if (shell) rest = shownToShell(shellOhms(one));
    else rest = one === other ? { ohms: meter.probeOhms } : read(one, other);
    return null;
  };

  const display = (nowMs: number): number => {
    const since = nowMs - touchedMs - CONTACT_MS;
    if (probes === null || "open" in rest || since < 0) return SCPI_OVERLOAD;
    const miss = FIRST_MISS * Math.exp(-since / SETTLING_MS) * rest.ohms;
    const flicker = random() < 0.3 ? (random() < 0.5 ? -1 : 1) : 0;
    const digits = Math.round((rest.ohms + miss) / meter.resolutionOhms) + flicker;
    return Math.max(0, digits) * meter.resolutionOhms;
  };

  return scpiInstrument(
    [
      ...errors.commands(`ODD LEAD,VIRTUAL OHMMETER,${serial},1`),
      [/^CONF(?:IGURE)?:RES(?:ISTANCE)?$/i, () => null],
      [/^(?:MEAS(?:URE)?:RES(?:ISTANCE)?|READ)\?$/i, (_, nowMs) => scientific(display(nowMs))],
      [/^ROUT(?:E)?:TOUC(?:H)?$/i, touch],
      [
        /^ROUT(?:E)?:REL(?:EASE)?$/i,
        () => {
          probes = null;
          return null;
        },
      ],
    ],
    errors,
  );
}

function shownToShell(ohms: number | null): OhmsShown {
  return ohms === null ? { open: true } : { ohms };
}

/** What an ohmmeter's answer to READ? shows; null where it is no number. */
export function shownOf(answer: string): OhmsShown | null {
  const value = numberOf(answer);
  if (value === null) return null;
  return value === Number.POSITIVE_INFINITY ? { open: true } : { ohms: Math.max(0, value) };
}
