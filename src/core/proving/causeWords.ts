import type { Cause } from "./causes";

/** What a cause is said of: places by the names the screen has for them, and how much of it where that is a matter of degree. */
export interface CauseAt {
  readonly at: readonly string[];
  /** "4.0 µF", "1.6 times the load"; "" where there is no degree. */
  readonly degree: string;
  /** The family's one change that turns it round. */
  readonly swap: string;
}

/** What is the matter, in the trade's words, and what mends it. */
export interface CauseWords {
  readonly says: string;
  readonly mend: string;
}

/** A cause's own words and what goes into them: its places, joined, and ", about so much" where that is known. */
interface Blanks extends CauseAt {
  readonly where: string;
  readonly much: string;
}

const WORDS: Readonly<Record<Cause, (blanks: Blanks) => CauseWords>> = {
  "as-planned": () => ({ says: "All as planned.", mend: "" }),
  "leads-exchanged": ({ where }) => ({
    says: `${where} are changed over.`,
    mend: `Power off, prove dead; change ${where} over as the plan has them.`,
  }),
  "lead-off": ({ where }) => ({
    says: `${where} makes no contact.`,
    mend: `Power off, prove dead; see the terminal and the crimp of ${where}.`,
  }),
  "wrong-terminal": ({ where, at }) => ({
    says: `${where}: landed beside its place.`,
    mend: `Power off, prove dead; move ${at[0] ?? "it"} to where the plan has it.`,
  }),
  "wrong-tap": ({ where }) => ({
    says: `Speed taps ${where} are changed over.`,
    mend: `Power off, prove dead; put ${where} on the calls that the plan has for them.`,
  }),
  "capacitor-missing": ({ where }) => ({
    says: `The capacitor (${where}) is not in circuit.`,
    mend: "Power off, discharge; fit it, or see both of its terminals.",
  }),
  "capacitor-open": ({ where }) => ({
    says: `The capacitor (${where}) is open.`,
    mend: "Power off, discharge, measure; replace it like for like.",
  }),
  "capacitor-shorted": ({ where }) => ({
    says: `The capacitor (${where}) is shorted.`,
    mend: "Power off; replace it, and read the start winding before power.",
  }),
  "capacitor-weak": ({ where, much }) => ({
    says: `The capacitor (${where}) has lost capacity${much}.`,
    mend: "Power off, discharge, measure; replace it like for like.",
  }),
  "capacitor-wrong": ({ where, much }) => ({
    says: `The capacitor (${where}) has another value than the plate wants${much}.`,
    mend: "Power off, discharge; fit the value of the motor’s plate.",
  }),
  "capacitor-halves-exchanged": () => ({
    says: "FAN and HERM of the dual capacitor are changed over.",
    mend: "Power off, discharge all three pairs; change the two wires over.",
  }),
  "start-winding-open": () => ({
    says: "The start winding is open.",
    mend: "Power off; ohm the start winding. If it is open the motor is finished.",
  }),
  "main-half-open": ({ where }) => ({
    says: `A main winding (${where}) is open.`,
    mend: "Power off; ohm each winding. If one is open the motor is finished.",
  }),
  "start-contact-stays-open": () => ({
    says: "The start contact never closes.",
    mend: "Power off; ohm the start switch or relay contact at rest, and the relay’s coil. Replace it: a tap that frees it is a diagnosis, no repair.",
  }),
  "start-contact-stays-closed": () => ({
    says: "The start contact never opens.",
    mend: "Off at once; replace the switch or relay, and test the start capacitor that stood in circuit.",
  }),
  "wrong-voltage-setting": () => ({
    says: "The motor is set for the other voltage.",
    mend: "Off; ohm line to line, set it by its plate, prove the setting by ohms.",
  }),
  "supply-low": ({ much }) => ({
    says: `The supply is low${much}.`,
    mend: "Measure at the disconnect and at the motor, under load: the difference is in the wire and its joints.",
  }),
  "supply-high": ({ much }) => ({
    says: `The supply is high${much}.`,
    mend: "See the transformer’s taps and the system: split phase, wye or high leg.",
  }),
  "phase-lost": ({ where }) => ({
    says: `Line ${where} is lost.`,
    mend: "Off; volts on both sides of each fuse, contact and overload.",
  }),
  "volts-unbalanced": ({ where, much }) => ({
    says: `Line ${where} is low beside the others${much}.`,
    mend: "Measure all three under load; exchange all three leads in rotation: the high amps follow the lead (motor) or stay (supply).",
  }),
  "shorted-turns": ({ where, much }) => ({
    says: `Turns of a winding (${where}) are shorted${much}.`,
    mend: "Off; compare its ohms with the reference. The motor is finished.",
  }),
  "rotor-bars": () => ({
    says: "Bars of the rotor are broken.",
    mend: "The motor is finished: amps swing with the slip, the speed is low at the same load.",
  }),
  "shaft-stuck": () => ({
    says: "The shaft does not turn.",
    mend: "Off and locked: turn the shaft by hand; bearings, blade on the shroud, ice, a belt too tight.",
  }),
  drag: ({ much }) => ({
    says: `Something drags on the shaft${much}.`,
    mend: "Off and locked: turn the shaft by hand; bearings, a rubbing rotor, a tight belt.",
  }),
  "load-heavy": ({ much }) => ({
    says: `It has too much to turn${much}.`,
    mend: "See the blade’s pitch and size, the motor’s rated speed, the duct of a blower (open air overloads it).",
  }),
  "load-light": ({ much }) => ({
    says: `It has little to turn${much}.`,
    mend: "See a blocked duct or filter, a slipped belt, a loose wheel, a dry pump (stop that one).",
  }),
  "turn-reversed": ({ swap }) => ({
    says: "It turns the wrong way.",
    mend: `Power off, prove dead: ${swap}.`,
  }),
  "clamp-round-two": ({ where }) => ({
    says: "The clamp is round two wires: what they carry takes itself away.",
    mend: `The clamp round ${where} alone.`,
  }),
  "clamp-turns": ({ much }) => ({
    says: `The wire goes through the clamp more than once${much}.`,
    mend: "Divide by the turns, or pass the wire once.",
  }),
  unknown: () => ({
    says: "Something that this list does not hold.",
    mend: "Power off; go back to the ohms, the capacitor and the plan, each by itself.",
  }),
};

/** A cause in the trade's words, and what mends it. */
export function causeWords(cause: Cause, of: CauseAt): CauseWords {
  const { at, degree } = of;
  return WORDS[cause]({ ...of, where: at.join(" and "), much: degree === "" ? "" : `, about ${degree}` });
}
