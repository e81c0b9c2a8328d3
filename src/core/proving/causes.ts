import { unforeseen } from "../quantity/unforeseen";

/** What can be the matter with a motor that was just landed, or runs badly: the closed list. */
export const CAUSES = [
  "as-planned",
  "leads-exchanged",
  "lead-off",
  "wrong-terminal",
  "wrong-tap",
  "capacitor-missing",
  "capacitor-open",
  "capacitor-shorted",
  "capacitor-weak",
  "capacitor-wrong",
  "capacitor-halves-exchanged",
  "start-winding-open",
  "main-half-open",
  "start-contact-stays-open",
  "start-contact-stays-closed",
  "wrong-voltage-setting",
  "supply-low",
  "supply-high",
  "phase-lost",
  "volts-unbalanced",
  "shorted-turns",
  "rotor-bars",
  "shaft-stuck",
  "drag",
  "load-heavy",
  "load-light",
  "turn-reversed",
  "clamp-round-two",
  "clamp-turns",
  "unknown",
] as const;

export type Cause = (typeof CAUSES)[number];

/** Of all that is proved, what is as it should be; what nothing on the list explains; the rest is shared by what can be here. */
export const PRIOR = { sound: 0.64, oddlyBuilt: 0.16, unknown: 0.01, faulty: 0.19 } as const;

/**
 * How often a cause is met beside the others, a guess of the trade: what hands do wrong and what ages first come before
 * what seldom breaks. Flat enough that two good readings outweigh it.
 */
export const COMMON: Readonly<Record<Exclude<Cause, "as-planned" | "unknown">, number>> = {
  "leads-exchanged": 3,
  "lead-off": 2,
  "wrong-terminal": 2,
  "wrong-tap": 2,
  "capacitor-missing": 1,
  "capacitor-open": 2,
  "capacitor-shorted": 1,
  "capacitor-weak": 3,
  "capacitor-wrong": 2,
  "capacitor-halves-exchanged": 1.5,
  // The windings were read through and found whole before anything was landed.
  "start-winding-open": 0.75,
  "main-half-open": 0.75,
  "start-contact-stays-open": 2,
  "start-contact-stays-closed": 2,
  "wrong-voltage-setting": 2,
  "supply-low": 1.5,
  "supply-high": 1,
  "phase-lost": 2,
  "volts-unbalanced": 1.5,
  "shorted-turns": 2,
  "rotor-bars": 1,
  "shaft-stuck": 1.5,
  drag: 1.5,
  "load-heavy": 2,
  "load-light": 2,
  "turn-reversed": 4,
  // Without this a start lead that carries unlike what was figured would pass for a clamp put on twice.
  "clamp-round-two": 0.5,
  "clamp-turns": 0.1,
};

/** What a cause is said of: places by the names the screen has for them, and how much of it where that is a matter of degree. */
export interface CauseAt {
  readonly at: readonly string[];
  /** "4.0 µF", "1.6 times the load"; "" where there is no degree. */
  readonly degree: string;
  /** The family's one change that turns it round. */
  readonly swap: string;
}

/** A cause in the trade's words, and what mends it. */
export function causeWords(cause: Cause, { at, degree, swap }: CauseAt): { says: string; mend: string } {
  const where = at.join(" and ");
  const much = degree === "" ? "" : `, about ${degree}`;
  switch (cause) {
    case "as-planned":
      return { says: "All as planned.", mend: "" };
    case "leads-exchanged":
      return {
        says: `${where} are changed over.`,
        mend: `Power off, prove dead; change ${where} over as the plan has them.`,
      };
    case "lead-off":
      return {
        says: `${where} makes no contact.`,
        mend: `Power off, prove dead; see the terminal and the crimp of ${where}.`,
      };
    case "wrong-terminal":
      return {
        says: `${where}: landed beside its place.`,
        mend: `Power off, prove dead; move ${at[0] ?? "it"} to where the plan has it.`,
      };
    case "wrong-tap":
      return {
        says: `Speed taps ${where} are changed over.`,
        mend: `Power off, prove dead; put ${where} on the calls that the plan has for them.`,
      };
    case "capacitor-missing":
      return {
        says: `The capacitor (${where}) is not in circuit.`,
        mend: "Power off, discharge; fit it, or see both of its terminals.",
      };
    case "capacitor-open":
      return {
        says: `The capacitor (${where}) is open.`,
        mend: "Power off, discharge, measure; replace it like for like.",
      };
    case "capacitor-shorted":
      return {
        says: `The capacitor (${where}) is shorted.`,
        mend: "Power off; replace it, and read the start winding before power.",
      };
    case "capacitor-weak":
      return {
        says: `The capacitor (${where}) has lost capacity${much}.`,
        mend: "Power off, discharge, measure; replace it like for like.",
      };
    case "capacitor-wrong":
      return {
        says: `The capacitor (${where}) has another value than the plate wants${much}.`,
        mend: "Power off, discharge; fit the value of the motor’s plate.",
      };
    case "capacitor-halves-exchanged":
      return {
        says: "FAN and HERM of the dual capacitor are changed over.",
        mend: "Power off, discharge all three pairs; change the two wires over.",
      };
    case "start-winding-open":
      return {
        says: "The start winding is open.",
        mend: "Power off; ohm the start winding. If it is open the motor is finished.",
      };
    case "main-half-open":
      return {
        says: `A main winding (${where}) is open.`,
        mend: "Power off; ohm each winding. If one is open the motor is finished.",
      };
    case "start-contact-stays-open":
      return {
        says: "The start contact never closes.",
        mend: "Power off; ohm the start switch or relay contact at rest, and the relay’s coil. Replace it: a tap that frees it is a diagnosis, no repair.",
      };
    case "start-contact-stays-closed":
      return {
        says: "The start contact never opens.",
        mend: "Off at once; replace the switch or relay, and test the start capacitor that stood in circuit.",
      };
    case "wrong-voltage-setting":
      return {
        says: "The motor is set for the other voltage.",
        mend: "Off; ohm line to line, set it by its plate, prove the setting by ohms.",
      };
    case "supply-low":
      return {
        says: `The supply is low${much}.`,
        mend: "Measure at the disconnect and at the motor, under load: the difference is in the wire and its joints.",
      };
    case "supply-high":
      return {
        says: `The supply is high${much}.`,
        mend: "See the transformer’s taps and the system: split phase, wye or high leg.",
      };
    case "phase-lost":
      return {
        says: `Line ${where} is lost.`,
        mend: "Off; volts on both sides of each fuse, contact and overload.",
      };
    case "volts-unbalanced":
      return {
        says: `Line ${where} is low beside the others${much}.`,
        mend: "Measure all three under load; exchange all three leads in rotation: the high amps follow the lead (motor) or stay (supply).",
      };
    case "shorted-turns":
      return {
        says: `Turns of a winding (${where}) are shorted${much}.`,
        mend: "Off; compare its ohms with the reference. The motor is finished.",
      };
    case "rotor-bars":
      return {
        says: "Bars of the rotor are broken.",
        mend: "The motor is finished: amps swing with the slip, the speed is low at the same load.",
      };
    case "shaft-stuck":
      return {
        says: "The shaft does not turn.",
        mend: "Off and locked: turn the shaft by hand; bearings, blade on the shroud, ice, a belt too tight.",
      };
    case "drag":
      return {
        says: `Something drags on the shaft${much}.`,
        mend: "Off and locked: turn the shaft by hand; bearings, a rubbing rotor, a tight belt.",
      };
    case "load-heavy":
      return {
        says: `It has too much to turn${much}.`,
        mend: "See the blade’s pitch and size, the motor’s rated speed, the duct of a blower (open air overloads it).",
      };
    case "load-light":
      return {
        says: `It has little to turn${much}.`,
        mend: "See a blocked duct or filter, a slipped belt, a loose wheel, a dry pump (stop that one).",
      };
    case "turn-reversed":
      return { says: "It turns the wrong way.", mend: `Power off, prove dead: ${swap}.` };
    case "clamp-round-two":
      return {
        says: "The clamp is round two wires: what they carry takes itself away.",
        mend: `The clamp round ${where} alone.`,
      };
    case "clamp-turns":
      return {
        says: `The wire goes through the clamp more than once${much}.`,
        mend: "Divide by the turns, or pass the wire once.",
      };
    case "unknown":
      return {
        says: "Something that this list does not hold.",
        mend: "Power off; go back to the ohms, the capacitor and the plan, each by itself.",
      };
    default:
      return unforeseen(cause);
  }
}
