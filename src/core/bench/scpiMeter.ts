import type { Network } from "../motor/network";
import type { Meter } from "../ohms/readingError";
import type { OhmsShown } from "../quantity/ohms";
import { ohmmeter } from "./ohmmeter";
import type { Random } from "./random";

/** What the probes of the virtual meter are on: two leads, a lead and the shell, or nothing. */
export type Probes = readonly [string, string] | readonly [string, null] | null;

/**
 * A bench ohmmeter that speaks SCPI (IEEE 488.2 and SCPI-99: *IDN?, *RST, *CLS, CONFigure:RESistance, READ?,
 * MEASure:RESistance?, SYSTem:ERRor?), on a virtual motor. Two commands are its own, since it has no hands:
 * ROUTe:TOUCh "lead","lead" (or SHELL) puts the probes on, ROUTe:RELease lifts them.
 */
export interface ScpiMeter {
  /** Takes one line; gives the answer to a query, or null where a command has none. */
  readonly answer: (line: string, nowMs: number) => string | null;
}

/** Over range, as SCPI says it. */
export const SCPI_OVERLOAD = 9.9e37;

/** After the probes touch, the display shows over range for so long and then comes to rest, as a hand feels it. */
const CONTACT_MS = 200;
const SETTLING_MS = 220;
/** How far off the first value is, as a share of it. */
const FIRST_MISS = 0.12;

/**
 * @param network the motor; leads are named as in `network.leadAt`.
 * @param shellOhms what a lead reads to the shell; open where null.
 */
export function scpiMeter(
  network: Network,
  meter: Meter,
  random: Random,
  shellOhms: (lead: string) => number | null = () => null,
): ScpiMeter {
  const read = ohmmeter(network, meter, random);
  const errors: string[] = [];
  let probes: Probes = null;
  let touchedMs = 0;
  /** One error per contact: a real meter is off by the same as long as the probes stay. */
  let rest: OhmsShown = { open: true };

  const fail = (error: string): null => {
    if (errors.length < 20) errors.push(error);
    return null;
  };

  const touch = (argument: string, nowMs: number): null => {
    const names = argument.split(",").map((part) => part.trim().replace(/^"(.*)"$/, "$1"));
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

  const commands: readonly [RegExp, (argument: string, nowMs: number) => string | null][] = [
    [/^\*IDN\?$/i, () => "ODD LEAD,VIRTUAL OHMMETER,0,1"],
    [
      /^\*(RST|CLS)$/i,
      () => {
        errors.length = 0;
        return null;
      },
    ],
    [/^CONF(?:IGURE)?:RES(?:ISTANCE)?$/i, () => null],
    [/^(?:MEAS(?:URE)?:RES(?:ISTANCE)?|READ)\?$/i, (_, nowMs) => scientific(display(nowMs))],
    [/^SYST(?:EM)?:ERR(?:OR)?(?::NEXT)?\?$/i, () => errors.shift() ?? '0,"No error"'],
    [/^ROUT(?:E)?:TOUC(?:H)?$/i, touch],
    [
      /^ROUT(?:E)?:REL(?:EASE)?$/i,
      () => {
        probes = null;
        return null;
      },
    ],
  ];

  return {
    answer: (line, nowMs) => {
      const text = line.trim().replace(/^:/, "");
      if (text === "") return null;
      const [, header = "", argument = ""] = /^(\S+)\s*(.*)$/.exec(text) ?? [];
      const command = commands.find(([pattern]) => pattern.test(header));
      return command ? command[1](argument, nowMs) : fail('-113,"Undefined header"');
    },
  };
}

function shownToShell(ohms: number | null): OhmsShown {
  return ohms === null ? { open: true } : { ohms };
}

/** NR3 as SCPI instruments write it: +1.24000000E+01. */
function scientific(value: number): string {
  const [mantissa = "0", exponent = "0"] = value.toExponential(8).split("e");
  const power = Number(exponent);
  return `+${mantissa}E${power < 0 ? "-" : "+"}${String(Math.abs(power)).padStart(2, "0")}`;
}

/** What a meter's answer to READ? shows; null where it is no number. */
export function shownOf(answer: string): OhmsShown | null {
  const value = Number(answer.trim());
  if (answer.trim() === "" || !Number.isFinite(value)) return null;
  return value >= 1e37 ? { open: true } : { ohms: Math.max(0, value) };
}
