import { z } from "zod";
import { ASKS, observation } from "../identify/sheet";
import { PLATE_FIELD_IDS } from "../motor/plate";
import { HIGHEST_READING_OHMS } from "../quantity/ohms";
import { type MatchRequest, matchRequest } from "../stock/matchRequest";
import { compartment } from "../wiring/compartment";

/**
 * Facts of a job: what a person entered, with who and when. They are only ever added. A correction is a later fact,
 * an undo is a fact too. Ids are UUIDv7 made where the fact is made, so that a repeated upload changes nothing and
 * ids sort by time.
 */

const id = z.uuid();
const text = (most: number) => z.string().trim().max(most);
const leadId = z.string().min(1).max(64);

const shown = {
  typed: text(20).min(1),
  ohms: z.number().finite().nonnegative().max(HIGHEST_READING_OHMS).optional(),
  open: z.literal(true).optional(),
};

const lead = z.object({
  id: leadId,
  colour: text(40).optional(),
  stripe: text(40).optional(),
  mark: text(20).optional(),
});

const told = z.object({
  phase: z.union([z.literal(1), z.literal(3)]).optional(),
  speeds: z.number().int().min(1).max(10).optional(),
  capacitor: z.enum(["none", "run", "start", "start-and-run"]).optional(),
  reversible: z.boolean().optional(),
  dualVoltage: z.boolean().optional(),
  volts: z.number().finite().positive().max(1000).optional(),
  kind: text(60).optional(),
  trustColours: z.number().finite().min(0).max(1).optional(),
  /** A capacitor or a switch stands in line with the start winding, and an ohmmeter sees it open. */
  startInLine: z.boolean().optional(),
});

const meter = z.object({
  percent: z.number().finite().min(0).max(50),
  counts: z.number().finite().min(0).max(100),
  resolutionOhms: z.number().finite().positive().max(1000),
  probeOhms: z.number().finite().min(0).max(100),
});

/** A cable between the meter and the motor: its conductor and one length of it. */
const cable = z.union([
  z.object({
    gauge: z.literal([14, 12, 10, 8, 6, 4]),
    lengthFeet: z.number().finite().min(0).max(30_000),
  }),
  z.object({
    areaMm2: z.number().finite().min(0.1).max(500),
    lengthMetres: z.number().finite().min(0).max(10_000),
  }),
]);

/** How the motor was when it was read: what its ohms are corrected for. */
const conditions = z.object({
  windingC: z.number().finite().min(-50).max(250).optional(),
  conductor: z.enum(["copper", "aluminium"]),
  cable: cable.optional(),
});

/** Ohms of a plate, a manual or an earlier sheet, between leads of this motor. */
const reference = z.object({
  source: text(80).min(1),
  referenceC: z.number().finite().min(-50).max(250),
  tolerancePercent: z.number().finite().positive().max(50),
  lines: z
    .array(
      z.object({
        between: z.tuple([leadId, leadId]),
        ohms: z.number().finite().nonnegative().max(HIGHEST_READING_OHMS),
      }),
    )
    .max(66),
});

/** The most megohms a tester shows. */
export const HIGHEST_MEGOHMS = 1_000_000;

/** One insulation test between winding and shell, of this visit or an earlier one. */
const insulation = z.object({
  on: z.iso.date(),
  typed: text(20).min(1),
  megohms: z.number().finite().nonnegative().max(HIGHEST_MEGOHMS),
  /** The tester's range ended there: it is that much or more. */
  orMore: z.boolean(),
  testVolts: z.number().finite().min(50).max(5000),
  windingC: z.number().finite().min(-50).max(250).optional(),
  inWell: z.boolean(),
});

/** Where the leads are to go, as far as a person chooses it. */
export const landingChoice = z.object({
  supply: z.enum(["115-neutral", "208-230-two-lines"]),
  capacitor: z.enum(["own", "dual-fan"]),
  /** The speed that the switched line feeds, 1 the fastest. */
  speed: z.number().int().min(1).max(10),
});

/** What a person writes on the label beside what is derived. */
export const labelText = z.object({
  unit: text(60),
  who: text(40),
  capacitorMicrofarads: text(12),
  capacitorVolts: text(12),
});

/** A plate as typed, by field. */
const typedPlate = z.partialRecord(z.enum(PLATE_FIELD_IDS), text(60));

/** The replacement that was chosen, with its plate as it was then: the stock may change, the job does not. */
const chosenMotor = z.object({ item: z.uuid().nullable(), name: text(80).min(1), plate: typedPlate });

/** The capacitor side of the job: the label in place now, and the school that was taken. */
const capacitorChoice = z.object({
  present: text(60),
  tolerancePercent: z.number().finite().min(1).max(20).optional(),
  school: z.enum(["keep-one-dual", "own-capacitor", "single"]).optional(),
  lifeClass: z.enum(["A", "B", "C", "D"]).optional(),
});

/** One test of a capacitor: by a meter, lifted and discharged, or by amps and volts at work. */
const capacitorTest = z.object({
  label: text(60).min(1),
  half: z.enum(["single", "herm", "fan"]),
  by: z.discriminatedUnion("way", [
    z.object({ way: z.literal("meter"), microfarads: z.number().finite().min(0).max(3000) }),
    z.object({
      way: z.literal("under-load"),
      amps: z.number().finite().positive().max(200),
      volts: z.number().finite().positive().max(2000),
      hertz: z.union([z.literal(50), z.literal(60)]),
    }),
  ]),
});

const placeId = z.string().min(1).max(60);

/** A lead of the old motor and the terminal it was on; null while that was not written down. */
const oldLead = z.object({ lead, terminal: placeId.nullable() });

/** A photo of the compartment, kept by the server under its id. */
const photo = z.object({
  id: z.uuid(),
  caption: text(80),
  widthPx: z.number().int().min(1).max(20_000),
  heightPx: z.number().int().min(1).max(20_000),
});

/** A mark on a photo: its place as shares of width and height, and what it points at. */
const pin = z.object({
  id: z.uuid(),
  photo: z.uuid(),
  x: z.number().min(0).max(1),
  y: z.number().min(0).max(1),
  says: text(60),
});

/** How the motor is to run and be fed, as far as a person chooses it. */
const wiringWish = z.object({
  /** The plan that was taken, by its id; the first where left out. */
  plan: text(40).optional(),
  speeds: z.record(text(40), z.number().int().min(1).max(10)),
  reversed: z.boolean(),
  /** By what it is turned round; its leads where left out. */
  turnBy: z.enum(["leads", "plug"]).optional(),
});

/** Where the motor's own leads are joined now, by wire, and by what its volts are set. */
const boardNow = z.object({
  by: z.enum(["leads", "plug", "dial"]),
  joined: z.record(z.string().max(64), text(20)),
});

/** A battery-kick test: where battery and meter stood, plus first, and what the needle did at the touch. */
const kick = z.object({
  battery: z.tuple([leadId, leadId]),
  meter: z.tuple([leadId, leadId]),
  shows: z.enum(["up", "down", "still"]),
  hardest: z.boolean().optional(),
});

/**
 * How a motor of two voltages that is set inside (dial, plug, links), or a module by its jumper, stands; and how it stood
 * when its ohms were read, where it was turned since.
 */
const setInside = z.object({
  now: z.enum(["low", "high"]).nullable(),
  by: z.enum(["seen", "ohms"]),
  readAt: z.enum(["low", "high"]).optional(),
});

const wire = z
  .object({ id: z.uuid(), from: placeId, to: placeId })
  .refine((w) => w.from !== w.to, "a wire has two ends");

const body = z.discriminatedUnion("kind", [
  z.object({ kind: z.literal("title"), title: text(80) }),
  z.object({ kind: z.literal("lead"), lead }),
  z.object({ kind: z.literal("lead-gone"), lead: leadId }),
  z
    .object({ kind: z.literal("pair-reading"), between: z.tuple([leadId, leadId]), ...shown })
    .refine((r) => r.between[0] !== r.between[1], "a lead cannot be read against itself"),
  z.object({ kind: z.literal("shell-reading"), lead: leadId, ...shown }),
  z.object({ kind: z.literal("told"), told }),
  /** What the probing is to find out. */
  z.object({ kind: z.literal("ask"), ask: z.enum(ASKS) }),
  /** Something seen beside the ohms that settles a tie; it replaces what was seen of the same lead, or of the kind. */
  z.object({ kind: z.literal("observed"), observed: observation }),
  /** That taken back: of a lead, or of the kind where none is named. */
  z.object({ kind: z.literal("observed-gone"), lead: leadId.optional() }),
  z.object({ kind: z.literal("meter"), meter }),
  z.object({ kind: z.literal("conditions"), conditions }),
  z.object({ kind: z.literal("reference"), reference }),
  z.object({ kind: z.literal("insulation"), test: insulation }),
  z.object({ kind: z.literal("cooling"), leads: z.array(leadId).max(12) }),
  z.object({ kind: z.literal("landing"), choice: landingChoice }),
  z.object({ kind: z.literal("compartment"), compartment: compartment.nullable() }),
  z.object({ kind: z.literal("old-lead"), old: oldLead }),
  z.object({ kind: z.literal("old-lead-gone"), lead: leadId }),
  z.object({ kind: z.literal("photo"), photo }),
  z.object({ kind: z.literal("photo-gone"), photo: z.uuid() }),
  z.object({ kind: z.literal("pin"), pin }),
  z.object({ kind: z.literal("pin-gone"), pin: z.uuid() }),
  z.object({ kind: z.literal("wiring-wish"), wish: wiringWish }),
  z.object({ kind: z.literal("board-now"), board: boardNow }),
  z.object({ kind: z.literal("kick"), kick }),
  /** Every kick so far taken back: begun anew. */
  z.object({ kind: z.literal("kicks-anew") }),
  z.object({ kind: z.literal("set-inside"), set: setInside }),
  /** A lead moved by hand; null: where the plan has it. */
  z.object({ kind: z.literal("moved"), lead: leadId, to: placeId.nullable() }),
  z.object({ kind: z.literal("wire-added"), wire }),
  /** A jumper or a wire of the equipment taken off by hand. */
  z.object({ kind: z.literal("wire-off"), wire: text(60).min(1), off: z.boolean() }),
  /** Every change by hand taken back. */
  z.object({ kind: z.literal("as-planned") }),
  /** The plan marked ready; where the check says stop, with the reason for going on. */
  z.object({ kind: z.literal("ready"), ready: z.boolean(), override: text(200).min(3).optional() }),
  z.object({ kind: z.literal("label"), text: labelText }),
  z.object({
    kind: z.literal("plate"),
    motor: z.enum(["old", "new"]),
    field: z.enum(PLATE_FIELD_IDS),
    typed: text(60),
  }),
  z.object({ kind: z.literal("place"), place: matchRequest.shape.place }),
  z.object({ kind: z.literal("chosen"), motor: chosenMotor.nullable() }),
  z.object({
    kind: z.literal("used"),
    item: z.uuid(),
    name: text(80).min(1),
    count: z.number().int().min(0).max(99),
  }),
  z.object({ kind: z.literal("capacitor"), choice: capacitorChoice }),
  z.object({ kind: z.literal("capacitor-test"), test: capacitorTest }),
  /** A line of a checklist done, or not done after all. */
  z.object({ kind: z.literal("tick"), step: text(220).min(1), done: z.boolean() }),
  z.object({ kind: z.literal("undone"), fact: id }),
]);

/** One fact of a job. */
export const fact = z
  .object({ id, at: z.iso.datetime(), by: text(40), body })
  .refine(
    ({ body: b }) =>
      (b.kind !== "pair-reading" && b.kind !== "shell-reading") ||
      (b.open === true) !== (b.ohms !== undefined),
    "a reading is either ohms or open",
  );

export type Fact = z.output<typeof fact>;
export type FactBody = Fact["body"];
export type Told = z.output<typeof told>;
export type Conditions = z.output<typeof conditions>;
export type Reference = z.output<typeof reference>;
export type InsulationTest = z.output<typeof insulation>;
export type Place = MatchRequest["place"];
export type ChosenMotor = z.output<typeof chosenMotor>;
export type CapacitorChoice = z.output<typeof capacitorChoice>;
export type CapacitorTest = z.output<typeof capacitorTest>;
export type LandingChoice = z.output<typeof landingChoice>;
export type OldLead = z.output<typeof oldLead>;
export type Photo = z.output<typeof photo>;
export type Pin = z.output<typeof pin>;
export type WiringWish = z.output<typeof wiringWish>;
export type BoardNow = z.output<typeof boardNow>;
export type KickSeen = z.output<typeof kick>;
export type SetInside = z.output<typeof setInside>;
export type LabelText = z.output<typeof labelText>;

/** The most facts one upload carries. */
export const MOST_FACTS_A_WRITE = 500;

/** The form of an upload of facts to a job. */
export const factUpload = z.object({ facts: z.array(fact).min(1).max(MOST_FACTS_A_WRITE) });
