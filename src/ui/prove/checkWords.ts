import { type NextCheck, PRESSURE_WORDS, type ProvingObservation } from "@/core/proving";

/** A check that can be entered: what is asked for, or chosen by hand. */
export type EnteredCheck = Exclude<ProvingObservation, { what: "air" | "sign" }>["what"];

/** The unit that stands behind a figure. */
export const UNIT: Readonly<Partial<Record<ProvingObservation["what"], string>>> = {
  "line-amps": "A",
  "start-amps": "A",
  "supply-volts": "V",
  "capacitor-volts": "V",
  "capacitor-amps": "A",
  rpm: "rpm",
  ohms: "Ω",
  "capacitor-microfarads": "µF",
  insulation: "MΩ",
  pressure: "psi",
};

/** A kind of observation as a technician calls it. */
export const WHAT_WORDS: Readonly<Record<ProvingObservation["what"], string>> = {
  starts: "Does it start",
  turn: "Which way it turns",
  "line-amps": "Amps on a lead",
  "start-amps": "Amps at power",
  "supply-volts": "Volts of the supply",
  "capacitor-amps": "Amps into the capacitor",
  "capacitor-volts": "Volts across the capacitor",
  rpm: "Speed",
  air: "Air",
  ohms: "Ohms, power off",
  "capacitor-microfarads": "µF, power off",
  insulation: "Insulation, power off",
  pressure: "Pump pressure",
  sign: "Smell, noise, trip",
};

export const HOW_WORDS = {
  itself: "Starts by itself",
  hums: "Hums, stands",
  "stops-again": "Starts, stops again",
  "not-at-all": "Nothing happens",
} as const;

export const AIR_WORDS = { free: "Free", blocked: "Blocked", open: "Open, panel off" } as const;

export const SIGN_WORDS = {
  smoke: "Smoke",
  smell: "Burnt smell",
  "too-hot": "Too hot to hold",
  warm: "Warm",
  breaker: "Breaker tripped",
  "ground-fault": "Ground-fault device tripped",
  protector: "Its protector opened",
  growl: "Growl",
  rub: "Something rubs",
  click: "Click on coasting down",
  hunting: "Module still looks for its way",
  "silent-module": "Module silent",
} as const;

/** What is asked of the technician, as few words as the hand needs. */
export function askWords(
  check: NextCheck,
  names: { readonly lead: (id: string) => string; readonly call: (id: string) => string },
): string {
  switch (check.what) {
    case "starts":
      return `${names.call(check.call)}: bump it one second. Does it start?`;
    case "turn":
      return `${names.call(check.call)}: which way does it turn?`;
    case "line-amps":
      return `${names.call(check.call)}: amps on ${names.lead(check.lead)}`;
    case "start-amps":
      return `${names.call(check.call)}: most amps on ${names.lead(check.lead)} at power`;
    case "capacitor-amps":
      return `${names.call(check.call)}: amps into the capacitor, ${check.at.toUpperCase()}`;
    case "capacitor-volts":
      return `${names.call(check.call)}: volts across the capacitor, ${check.at.toUpperCase()}`;
    case "rpm":
      return `${names.call(check.call)}: speed, rpm`;
    case "supply-volts":
      return `${names.call(check.call)}: volts ${check.between.join(" to ")}`;
    case "ohms":
      return `Power off: ohms ${check.between.map(names.lead).join(" to ")}`;
    case "capacitor-microfarads":
      return `Power off, discharged: µF of the capacitor, ${check.at.toUpperCase()}`;
    case "insulation":
      return `Power off: insulation, ${names.lead(check.lead)} to the shell`;
    case "pressure":
      return `${names.call(check.call)}: pressure ${PRESSURE_WORDS[check.at]}`;
  }
}

/** How it is read, where that is not plain from the asking. */
export function howWords({ what }: Pick<NextCheck, "what">): string {
  switch (what) {
    case "starts":
      return "Off again at once if it hums.";
    case "turn":
      return "A chalk mark or a paper strip shows it; say from which end you look.";
    case "line-amps":
      return "The clamp round this one wire, through once.";
    case "start-amps":
      return "The clamp’s peak, and the seconds until it falls under 1.5 times the plate.";
    case "capacitor-amps":
      return "The clamp on the capacitor’s own lead, never on C.";
    case "capacitor-volts":
      return "Probes clipped on with the power off, hands away before it is on.";
    case "supply-volts":
      return "At the motor’s side, while it runs.";
    case "rpm":
      return "By tachometer or strobe.";
    case "ohms":
      return "Locked off and proved dead. OL is an answer too.";
    case "capacitor-microfarads":
      return "Locked off, discharged, one lead off the capacitor.";
    case "insulation":
      return "500 V DC for a minute, boards and capacitors off; discharge the winding after it. Never reset twice.";
    case "pressure":
      return "Primed, off its gauge. A figure alone is psi; 2.9 bar is read too.";
  }
}
