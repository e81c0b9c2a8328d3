/** What a word's picture shows. */
export type Sketch =
  | { readonly of: "joined"; readonly lit: "joint" | "run-end" | "start-end" | "main" | "start" }
  | { readonly of: "taps"; readonly lit: "shared" | "taps" | "duplicate" }
  | { readonly of: "turn"; readonly from: "lead" | "shaft"; readonly way: "cw" | "ccw" }
  | { readonly of: "dual"; readonly lit: "c" | "fan" | "herm" }
  | { readonly of: "supply"; readonly kind: "split" | "wye" | "high-leg" }
  | { readonly of: "clamp"; readonly wires: 1 | 2 };

/** A word of the trade as these pages use it. */
export interface WordEntry {
  /** Its place on the page: /words#joint. */
  readonly id: string;
  readonly word: string;
  /** What others call it, or what may be meant by it elsewhere. */
  readonly also: readonly string[];
  readonly says: string;
  readonly sketch?: Sketch;
}

/** The words. */
export const ENTRIES: readonly WordEntry[] = [
  {
    id: "bonded",
    word: "Bonded",
    also: ["duplicate lead", "doubled lead"],
    says: "Two leads that are one place inside: next to nothing between them. Either will do for the line; the other one often goes to the capacitor, so that no jumper is needed.",
    sketch: { of: "taps", lit: "duplicate" },
  },
  {
    id: "bump",
    word: "Bump",
    also: ["jog"],
    says: "Power for a second, cover on, hands away: does it start, and which way? Off again at once if it only hums.",
  },
  {
    id: "capped",
    word: "Capped",
    also: ["taped off", "insulated on its own"],
    says: "A lead that goes nowhere, closed by itself. It is live while the motor runs, as any tap of a winding is.",
  },
  {
    id: "cw-lead-end",
    word: "CW, lead end",
    also: ["CWLE", "clockwise from the lead end", "CCWSE"],
    says: "Clockwise to who looks at the end that the leads come out of. Seen from the shaft the same motor turns the other way: never a turn without its end.",
    sketch: { of: "turn", from: "lead", way: "cw" },
  },
  {
    id: "ccw-lead-end",
    word: "CCW, lead end",
    also: ["CCWLE", "counter-clockwise from the lead end", "CWSE"],
    says: "Counter-clockwise to who looks at the end that the leads come out of, clockwise to who looks at the shaft.",
    sketch: { of: "turn", from: "lead", way: "ccw" },
  },
  {
    id: "c-terminal",
    word: "C of a dual capacitor",
    also: ["common of the capacitor"],
    says: "The terminal that both halves share. It carries a line, never a winding’s start end; a clamp on it reads both halves at once and tells neither.",
    sketch: { of: "dual", lit: "c" },
  },
  {
    id: "dual",
    word: "Dual capacitor",
    also: ["45+5", "dual run", "round dual"],
    says: "Two run capacitors in one can. HERM serves the compressor and has the greater value, FAN the fan; C is shared.",
    sketch: { of: "dual", lit: "herm" },
  },
  {
    id: "fan-terminal",
    word: "FAN",
    also: ["F of a dual capacitor"],
    says: "The terminal of a dual capacitor’s smaller half: the fan’s start end goes here.",
    sketch: { of: "dual", lit: "fan" },
  },
  {
    id: "frame-lead",
    word: "Frame lead",
    also: ["ground", "green lead", "earth", "PE"],
    says: "Green, green and yellow, or bare: bonds the shell to ground and carries nothing. It is left out of the leads and landed first.",
  },
  {
    id: "high-leg",
    word: "High leg",
    also: ["wild leg", "stinger leg", "delta with a center tap"],
    says: "Of a four-wire delta: one line stands 1.73 times the others above neutral. No 120 V load ever goes on it.",
    sketch: { of: "supply", kind: "high-leg" },
  },
  {
    id: "joint",
    word: "Joint",
    also: ["COM of a compressor", "common of main and start", "C of C-S-R"],
    says: "Where main and start winding meet. With run end and start end it is a compressor’s or a three-wire pump’s C, R and S. It is not the shared lead of the speeds.",
    sketch: { of: "joined", lit: "joint" },
  },
  {
    id: "line-end",
    word: "Land",
    also: ["connect", "terminate"],
    says: "To put a lead on its terminal. A plan is landed once every wire of it is ticked, and proved only after power.",
  },
  {
    id: "main",
    word: "Main winding",
    also: ["run winding", "running winding"],
    says: "The winding that carries the load. Mostly the lower ohms of the two; where the start winding is lower, the plate and the capacitor tell.",
    sketch: { of: "joined", lit: "main" },
  },
  {
    id: "oddlead",
    word: "Odd lead",
    also: [],
    says: "The lead that reads unlike its neighbors: the end from which all speeds are counted, or the one that has no partner. Found first, the rest follows.",
  },
  {
    id: "pick-up",
    word: "Pick-up",
    also: ["pull-in", "drop-out"],
    says: "The volts at which a potential relay opens the start contact. Over the coil’s volts at standstill, under those at three quarters of speed.",
  },
  {
    id: "run-end",
    word: "Run end",
    also: ["R of C-S-R", "main end"],
    says: "The end of the main winding that is not the joint. The run capacitor goes between it and the start end.",
    sketch: { of: "joined", lit: "run-end" },
  },
  {
    id: "shared-lead",
    word: "Shared lead",
    also: ["COM of the speeds", "common", "neutral lead", "white on many 115 V fans"],
    says: "The lead that every speed runs back to. On 208–230 V there is no neutral at all: it goes to the other line. It is not the joint.",
    sketch: { of: "taps", lit: "shared" },
  },
  {
    id: "speed",
    word: "Speed",
    also: ["tap", "HI", "MED-HI", "MED", "LO", "speed 1"],
    says: "A place along the winding at which the line comes in: fewer turns in circuit, more current, faster. HI is speed 1. One speed at a time: two on the line burn the winding between them.",
    sketch: { of: "taps", lit: "taps" },
  },
  {
    id: "split-phase-supply",
    word: "Split-phase supply",
    also: ["single-phase three-wire", "120/240"],
    says: "Two lines and a neutral between: line to line is twice line to neutral.",
    sketch: { of: "supply", kind: "split" },
  },
  {
    id: "start-end",
    word: "Start end",
    also: ["CAP", "S of C-S-R", "brown on many fans"],
    says: "The end of the start winding that goes to the capacitor, never straight to a line.",
    sketch: { of: "joined", lit: "start-end" },
  },
  {
    id: "start-winding",
    word: "Start winding",
    also: ["auxiliary winding", "aux"],
    says: "The second winding, out of step with the main by a capacitor or by its own ohms: it gives the turn its direction.",
    sketch: { of: "joined", lit: "start" },
  },
  {
    id: "through-once",
    word: "Clamp, through once",
    also: ["amp clamp", "current probe"],
    says: "The jaw round one wire. Round two wires of one circuit it reads nothing, with the wire through twice it reads double.",
    sketch: { of: "clamp", wires: 1 },
  },
  {
    id: "wye-supply",
    word: "Wye supply",
    also: ["star", "208Y/120", "480Y/277"],
    says: "Three lines about a neutral: line to line is 1.73 times line to neutral. 208 V is not 230: ask the plate before a 230 V motor goes on it.",
    sketch: { of: "supply", kind: "wye" },
  },
];
