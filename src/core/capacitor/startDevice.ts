/** What takes a start capacitor out of the circuit once the motor turns. */
export interface StartDevice {
  readonly id: "centrifugal-switch" | "potential-relay" | "current-relay" | "ptc" | "electronic";
  readonly title: string;
  readonly howItWorks: string;
  /** What it must meet to replace one like it. */
  readonly mustMeet: readonly string[];
  readonly howItFails: readonly string[];
}

/** The devices of the trade, as data. */
export const START_DEVICES: readonly StartDevice[] = [
  {
    id: "centrifugal-switch",
    title: "Centrifugal switch on the shaft",
    howItWorks: "Closed at rest, opens near 75 % of speed; it rubs and clicks as the motor coasts down.",
    mustMeet: [
      "The same motor’s own part, set for its speed.",
      "Never in explosive air: it sparks as it opens.",
    ],
    howItFails: [
      "Stays open: hums and does not start; the start winding reads open.",
      "Stays closed: starts, then draws far too much; the start winding burns, the capacitor vents. A tap on the shell that frees it is a diagnosis, not a repair: replace it.",
    ],
  },
  {
    id: "potential-relay",
    title: "Potential relay, terminals 1, 2 and 5",
    howItWorks:
      "Contact 1–2 closed at rest in line with the start capacitor; coil 2–5 across the start winding. The volts that the turning rotor puts there pull it in and open 1–2.",
    mustMeet: [
      "Pick-up volts above what the start winding has at standstill and below what it has at speed.",
      "Drop-out volts below what it has while running loaded at low supply.",
      "Coil’s continuous volts above what the start winding stands at, running light at high supply.",
      "Contact rated for the start capacitor’s amps and volts.",
    ],
    howItFails: [
      "Contact never closes: no start, three to seven times plate amps, the protector opens.",
      "Contact never opens: starts, then draws far too much; the start winding burns open, the capacitor vents.",
    ],
  },
  {
    id: "current-relay",
    title: "Current relay",
    howItWorks: "Open at rest; the main winding’s starting amps pull it in, and it drops out as they fall.",
    mustMeet: [
      "Pick-up amps under the starting amps, drop-out over the running amps.",
      "Mounted the right way up: its plunger falls by weight.",
    ],
    howItFails: ["Never pulls in: no start.", "Welded: the start winding stays in and burns."],
  },
  {
    id: "ptc",
    title: "PTC",
    howItWorks:
      "Cold it conducts; the starting amps heat it in about a second and its resistance takes the start winding out.",
    mustMeet: ["The motor’s own ohms and volts.", "Minutes to cool between starts."],
    howItFails: ["Cracked or open: no start.", "Hot on a quick restart: hums until it has cooled."],
  },
  {
    id: "electronic",
    title: "Electronic start device",
    howItWorks: "Measures time, current or voltage and opens a triac or relay.",
    mustMeet: ["The motor’s power range and volts as its maker lists them."],
    howItFails: ["Fails open: no start.", "Fails closed: the start winding stays in."],
  },
];

/** The rules that every start capacitor shares. */
export const START_RULES: readonly string[] = [
  "In circuit only to about 75 % of speed, for a second or three; some 20 starts an hour.",
  "A bleed resistor of 15–18 kΩ, 2 W across the terminals saves the relay’s contacts.",
  "The line that feeds the run winding also feeds both capacitors; the start capacitor goes through 1–2 to the start terminal; 5 goes to the joint (common).",
  "A hard-start kit is a start capacitor with its relay, across the run capacitor.",
];
