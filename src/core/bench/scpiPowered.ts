import type { NextCheck } from "../proving/diagnosis";
import type { InstrumentKind } from "../proving/instrumentFor";
import type { ProvingObservation, STARTS } from "../proving/observation";
import { measuredFigure } from "../proving/reading";
import type { PoweredMachine } from "./poweredMachine";
import {
  namesOf,
  numberOf,
  SCPI_OVERLOAD,
  type ScpiCommand,
  ScpiErrors,
  type ScpiInstrument,
  scientific,
  scpiInstrument,
} from "./scpiLine";

/** How each kind is asked for, and what its number is multiplied by: SCPI gives farads. */
const FUNCTIONS: Readonly<
  Record<InstrumentKind, { readonly header: RegExp; readonly line: string; readonly times: number }>
> = {
  amps: { header: /CURR(?:ENT)?:AC/, line: "CONF:CURR:AC", times: 1 },
  volts: { header: /VOLT(?:AGE)?:AC/, line: "CONF:VOLT:AC", times: 1 },
  microfarads: { header: /CAP(?:ACITANCE)?/, line: "CONF:CAP", times: 1e6 },
  rpm: { header: /SPE(?:ED)?/, line: "CONF:SPE", times: 1 },
  ohms: { header: /RES(?:ISTANCE)?/, line: "CONF:RES", times: 1 },
  megohms: { header: /INS(?:ULATION)?/, line: "CONF:INS", times: 1e-6 },
};
const KINDS = Object.keys(FUNCTIONS) as InstrumentKind[];

/** The line that sets an instrument to measure this. */
export function configureLine(kind: InstrumentKind): string {
  return FUNCTIONS[kind].line;
}

/** The figure in the unit of its kind of an answer to READ?; "open" over range, null where it is no number. */
export function figureOf(answer: string, kind: InstrumentKind): number | "open" | null {
  const value = numberOf(answer);
  if (value === null) return null;
  return value === Number.POSITIVE_INFINITY ? "open" : Math.max(0, value * FUNCTIONS[kind].times);
}

/** The line that puts the stand-in's jaw, probes or light where a check wants them; its call is set by {@link callLine}. */
export function placeLine(check: NextCheck): string {
  switch (check.what) {
    case "line-amps":
      return `ROUT:CLAM "${check.lead}"`;
    case "capacitor-amps":
    case "capacitor-volts":
    case "capacitor-microfarads":
      return `ROUT:CAP "${check.at}"`;
    case "supply-volts":
    case "ohms":
      return `ROUT:TOUC "${check.between[0]}","${check.between[1]}"`;
    case "insulation":
      return `ROUT:SHEL "${check.lead}"`;
    default:
      return "ROUT:REL";
  }
}

/** The line that puts the stand-in's machine under a call, or under none. */
export function callLine(check: NextCheck): string {
  return "call" in check && check.power === "on" ? `SOUR:CALL "${check.call}"` : "SOUR:CALL OFF";
}

/** What reads over range where its clips are on nothing. */
const OPEN_KINDS: ReadonlySet<InstrumentKind> = new Set(["ohms", "megohms"]);

/** After the jaw closed or the probes touched, the display comes to rest as a hand feels it. */
const SETTLING_MS = 250;
const FIRST_MISS = 0.15;

/** Where jaw and probes are. */
type At =
  | { readonly kind: "clamp"; readonly lead: string }
  | { readonly kind: "capacitor"; readonly at: string }
  | { readonly kind: "probes"; readonly between: [string, string] }
  | { readonly kind: "shell"; readonly lead: string };

/**
 * Clamp meter, voltmeter, tachometer, capacitance tester and ohmmeter beside one powered virtual machine, as one
 * instrument that speaks SCPI: CONFigure:CURRent:AC, VOLTage:AC, CAPacitance, RESistance, INSulation, SPEed; READ?; MEASure:…?. What a
 * hand does has commands of its own: SOURce:CALL "call" or OFF, ROUTe:CLAMp "wire", ROUTe:CAPacitor "place", ROUTe:TOUCh
 * "a","b", ROUTe:SHELl "lead" (insulation, one clip on the shell), ROUTe:RELease; what an eye or a peak clamp sees is told by SENSe:EYE? STARts, TURN or PEAK.
 */
export function scpiPowered(machine: PoweredMachine, serial = "0"): ScpiInstrument {
  const errors = new ScpiErrors();
  let kind: InstrumentKind = "amps";
  let call: string | null = null;
  let at: At | null = null;
  let changedMs = 0;
  /** What each place reads, once a contact: an instrument is off by the same as long as it stays. */
  let rest = new Map<InstrumentKind, number>();

  const put = (next: At | null, nowMs: number): null => {
    at = next;
    changedMs = nowMs;
    rest = new Map();
    return null;
  };
  const one = (argument: string, then: (name: string) => null): null => {
    const [name, ...more] = namesOf(argument);
    return name && more.length === 0 ? then(name) : errors.add('-109,"Missing parameter"');
  };
  const atRest = (of: InstrumentKind): number => {
    const known = rest.get(of);
    if (known !== undefined) return known;
    const check = checkOf(of, at, call);
    const seen = check && observed(machine, check);
    const value = seen ? figureSeen(seen) : OPEN_KINDS.has(of) ? SCPI_OVERLOAD : 0;
    rest.set(of, value);
    return value;
  };
  const display = (of: InstrumentKind, nowMs: number): number => {
    const value = atRest(of);
    if (value >= SCPI_OVERLOAD) return value;
    const miss = 1 - FIRST_MISS * Math.exp(-(nowMs - changedMs) / SETTLING_MS);
    return (value * miss) / FUNCTIONS[of].times;
  };
  const perKind = KINDS.flatMap((of): ScpiCommand[] => {
    const { header } = FUNCTIONS[of];
    return [
      [
        new RegExp(`^CONF(?:IGURE)?:${header.source}$`, "i"),
        () => {
          kind = of;
          return null;
        },
      ],
      [
        new RegExp(`^MEAS(?:URE)?:${header.source}\\?$`, "i"),
        (_, nowMs) => {
          kind = of;
          return scientific(display(of, nowMs));
        },
      ],
    ];
  });
  return scpiInstrument(
    [
      ...errors.commands(`ODD LEAD,VIRTUAL POWERED BENCH,${serial},1`, () => put(null, 0)),
      ...perKind,
      [/^READ\?$/i, (_, nowMs) => scientific(display(kind, nowMs))],
      [
        /^SOUR(?:CE)?:CALL$/i,
        (argument, nowMs) =>
          one(argument, (name) => {
            call = /^off$/i.test(name) ? null : name;
            return put(at, nowMs);
          }),
      ],
      [
        /^ROUT(?:E)?:CLAM(?:P)?$/i,
        (argument, nowMs) => one(argument, (lead) => put({ kind: "clamp", lead }, nowMs)),
      ],
      [
        /^ROUT(?:E)?:CAP(?:ACITOR)?$/i,
        (argument, nowMs) => one(argument, (place) => put({ kind: "capacitor", at: place }, nowMs)),
      ],
      [
        /^ROUT(?:E)?:SHEL(?:L)?$/i,
        (argument, nowMs) => one(argument, (lead) => put({ kind: "shell", lead }, nowMs)),
      ],
      [
        /^ROUT(?:E)?:TOUC(?:H)?$/i,
        (argument, nowMs) => {
          const [a, b, ...more] = namesOf(argument);
          if (!a || !b || more.length > 0) return errors.add('-109,"Missing parameter"');
          return put({ kind: "probes", between: [a, b] }, nowMs);
        },
      ],
      [
        /^SENS(?:E)?:EYE\?$/i,
        (argument) => {
          const seen = call === null ? null : observed(machine, eyeCheck(argument, call, at));
          return seen ? `"${seenWords(seen)}"` : '"nothing runs"';
        },
      ],
      [/^ROUT(?:E)?:REL(?:EASE)?$/i, (_, nowMs) => put(null, nowMs)],
    ],
    errors,
  );
}

/** What an eye, or a clamp that keeps its peak, looks for. */
function eyeCheck(argument: string, call: string, at: At | null): NextCheck {
  const on = { call, because: "", power: "on" } as const;
  if (/^turn$/i.test(argument)) return { what: "turn", ...on };
  return /^peak$/i.test(argument) && at?.kind === "clamp"
    ? { what: "start-amps", lead: at.lead, ...on }
    : { what: "starts", ...on };
}

/** The line that asks the stand-in what is seen for a check; null where an instrument shows it. */
export function eyeLine({ what }: Pick<NextCheck, "what">): string | null {
  if (what === "starts") return "SENS:EYE? STAR";
  if (what === "turn") return "SENS:EYE? TURN";
  return what === "start-amps" ? "SENS:EYE? PEAK" : null;
}

function seenWords(seen: ProvingObservation): string {
  switch (seen.what) {
    case "starts":
      return HOW[seen.how];
    case "turn":
      return `turns ${seen.seen.toUpperCase()} seen from the ${seen.end} end`;
    case "start-amps":
      return `peak ${seen.peak} A and ${seen.seconds} s until it falls`;
    default:
      return "nothing";
  }
}
const HOW: Readonly<Record<(typeof STARTS)[number], string>> = {
  itself: "starts by itself",
  hums: "hums and stands",
  "stops-again": "starts and stops again",
  "not-at-all": "does nothing",
};

/** What an instrument of a kind measures at a place under a call; null where it measures nothing there. */
function checkOf(kind: InstrumentKind, at: At | null, call: string | null): NextCheck | null {
  const on = { because: "", power: "on" } as const;
  const off = { because: "", power: "off" } as const;
  if (kind === "rpm") return call === null ? null : { what: "rpm", call, ...on };
  if (!at) return null;
  if (call === null) {
    if (kind === "ohms" && at.kind === "probes") return { what: "ohms", between: at.between, ...off };
    if (kind === "megohms" && at.kind === "shell") return { what: "insulation", lead: at.lead, ...off };
    return kind === "microfarads" && at.kind === "capacitor"
      ? { what: "capacitor-microfarads", at: at.at, ...off }
      : null;
  }
  if (kind === "amps" && at.kind === "clamp") return { what: "line-amps", call, lead: at.lead, ...on };
  if (kind === "amps" && at.kind === "capacitor") return { what: "capacitor-amps", call, at: at.at, ...on };
  if (kind === "volts" && at.kind === "capacitor") return { what: "capacitor-volts", call, at: at.at, ...on };
  return kind === "volts" && at.kind === "probes"
    ? { what: "supply-volts", call, between: at.between, ...on }
    : null;
}

/** What the machine shows there; null at a place or under a call that it has not. */
function observed(machine: PoweredMachine, check: NextCheck): ProvingObservation | null {
  if ("call" in check && !machine.calls.includes(check.call)) return null;
  return machine.observe(check);
}

/** The number that an instrument shows for what was measured; SCPI's own over range where it is open. */
function figureSeen(seen: ProvingObservation): number {
  switch (seen.what) {
    case "starts":
    case "turn":
    case "air":
    case "sign":
    case "pressure":
      return 0;
    case "insulation":
      return seen.orMore ? SCPI_OVERLOAD : seen.megohms;
    default:
      return Math.min(SCPI_OVERLOAD, measuredFigure(seen));
  }
}
