import { formatCapacitor, parseCapacitor } from "../../quantity/capacitance";
import { fault, refused } from "../../quantity/fault";
import { formatLength } from "../../quantity/length";
import { digits, parseNumber } from "../../quantity/number";
import { formatPower, parsePower, WATTS_PER_HP } from "../../quantity/power";
import { formatRotation, parseRotation } from "../../quantity/rotation";
import { parseSpeed } from "../../quantity/speed";
import { parseTemperature } from "../../quantity/temperature";
import { formatVolts, parseVolts } from "../../quantity/volts";
import { choice, length, number, words } from "./fieldKinds";
import {
  BEARINGS,
  CODE_LETTERS,
  type CodeLetter,
  DUTIES,
  ENCLOSURES,
  KINDS,
  LOADS,
  MOUNTS,
  type Plate,
  PROTECTORS,
  SHAFT_FORMS,
  SHAFT_POSITIONS,
} from "./plate";
import type { PlateField } from "./plateField";

/** Every field of a plate, in the order it is asked for. */
export const PLATE_FIELDS: readonly PlateField[] = [
  choice("kind", "Kind", "drive", "decides", KINDS, {
    howToGet:
      "A module or a round plug of many pins at the back means electronics; leads alone mean a plain motor.",
    take: (kind) => ({ kind }),
    has: (plate) => plate.kind,
  }),
  choice("load", "Drives", "drive", "helps", LOADS, {
    howToGet: "See what is on its shaft.",
    take: (load) => ({ load }),
    has: (plate) => plate.load,
  }),
  {
    id: "power",
    title: "Power",
    example: "1/3, or 0.25 kW",
    part: "drive",
    matters: "decides",
    howToGet:
      "From the equipment’s schematic or an earlier record; full-load amps and rpm narrow it; the old blade’s size tells the rest.",
    read: (text) => {
      const power = parsePower(text);
      return power.ok ? { ok: true, gives: { powerWatts: power.watts } } : power;
    },
    say: ({ powerWatts }) => powerWatts?.map(formatPower).join(", ") ?? null,
  },
  {
    id: "speed",
    title: "Speed",
    example: "1075/3SPD",
    part: "drive",
    matters: "decides",
    howToGet:
      "From the schematic; the poles by counting coils; with the motor running, a strobe or tachometer.",
    read: (text) => {
      const speed = parseSpeed(text);
      return speed.ok ? { ok: true, gives: speed.speed } : speed;
    },
    say: ({ rpm, speeds }) =>
      rpm === undefined
        ? null
        : `${rpm} rpm${speeds === undefined ? "" : `, ${speeds} ${speeds === 1 ? "speed" : "speeds"}`}`,
  },
  number("poles", "Poles", "drive", "helps", "6", [2, 16], {
    howToGet: "60 times the hertz, twice, through the rpm, taken up to the next even number.",
    whole: true,
    take: (poles) => ({ poles }),
    say: ({ poles }) => (poles === undefined ? null : `${poles} poles`),
  }),
  number("speeds", "Speeds", "drive", "ranks", "3", [1, 10], {
    howToGet: "Count the speed leads: all but the shared lead, the start end and the green.",
    whole: true,
    take: (speeds) => ({ speeds }),
    say: ({ speeds }) => (speeds === undefined ? null : `${speeds} ${speeds === 1 ? "speed" : "speeds"}`),
  }),
  {
    id: "rotation",
    title: "Rotation",
    example: "CW LE",
    part: "drive",
    matters: "decides",
    howToGet: "From the blade’s pitch or the blower’s scroll: the helper below works it out.",
    read: (text) => {
      const rotation = parseRotation(text);
      return rotation.ok ? { ok: true, gives: { rotation: rotation.rotation } } : rotation;
    },
    say: ({ rotation }) => (rotation ? formatRotation(rotation) : null),
  },
  {
    id: "volts",
    title: "Volts",
    example: "208-230",
    part: "supply",
    matters: "decides",
    howToGet:
      "Measure the supply at the disconnect before it is locked off, and read the equipment’s own plate.",
    read: (text) => {
      const volts = parseVolts(text);
      return volts.ok ? { ok: true, gives: { volts: volts.connections } } : volts;
    },
    say: ({ volts }) => (volts ? formatVolts(volts) : null),
  },
  choice(
    "phase",
    "Phase",
    "supply",
    "decides",
    { 1: "single-phase", 3: "three-phase" },
    {
      howToGet:
        "Count the line wires at the disconnect: two lines or one and a neutral are single-phase, three lines three.",
      take: (phase) => ({ phase: phase === "3" ? 3 : 1 }),
      has: (plate) => (plate.phase === undefined ? undefined : plate.phase === 3 ? "3" : "1"),
    },
  ),
  {
    id: "hertz",
    title: "Hertz",
    example: "60, or 50/60",
    part: "supply",
    matters: "decides",
    howToGet: "It is the country’s own: 60 Hz in North America, 50 Hz in most others.",
    read: (text) => {
      const bare = text.replace(/\s*(?:hz|hertz|cycles?)\b\.?/gi, "").trim();
      const values = bare.split(/\s*[/,&-]\s*/).map(parseNumber);
      if (values.some((value) => value !== 50 && value !== 60) || values.length > 2)
        return refused(fault("not-hertz", `“${text.trim()}” are no mains hertz. Write 60, 50 or 50/60.`));
      return { ok: true, gives: { hertz: [...new Set(values as number[])].sort((a, b) => a - b) } };
    },
    say: ({ hertz }) => (hertz ? `${hertz.join(" and ")} Hz` : null),
  },
  {
    id: "amps",
    title: "Full-load amps",
    example: "2.6, or 5.2/2.6",
    part: "supply",
    matters: "ranks",
    howToGet:
      "Clamp the line with the old motor running, if it runs; else the equipment’s plate lists the fan’s amps.",
    read: (text) => {
      const values = text
        .replace(/\s*(?:amps?|a|fla|f\.l\.a\.?)\b\.?/gi, "")
        .split(/\s*\/\s*/)
        .map(greaterOfRange);
      if (values.some((amps) => amps === null || amps <= 0 || amps > 200) || values.length > 3)
        return refused(
          fault("not-amps", `“${text.trim()}” are no amps. Write 2.6, or 5.2/2.6 for two voltages.`),
        );
      return { ok: true, gives: { fullLoadAmps: values as number[] } };
    },
    say: ({ fullLoadAmps }) =>
      fullLoadAmps ? `${fullLoadAmps.map((amps) => digits(amps)).join(" or ")} A at full load` : null,
  },
  number("lockedRotorAmps", "Locked-rotor amps", "supply", "helps", "14", [0.1, 500], {
    howToGet: "Seldom needed; three to seven times full-load amps is usual.",
    take: (lockedRotorAmps) => ({ lockedRotorAmps }),
    say: ({ lockedRotorAmps }) =>
      lockedRotorAmps === undefined ? null : `${digits(lockedRotorAmps)} A with the rotor locked`,
  }),
  {
    id: "codeLetter",
    title: "Code letter",
    example: "K",
    part: "supply",
    matters: "helps",
    howToGet: "Stands in place of locked-rotor amps on many plates: kVA for each hp.",
    read: (text) => {
      const letter = text
        .trim()
        .toUpperCase()
        .replace(/^CODE\s*/, "");
      return letter in CODE_LETTERS
        ? { ok: true, gives: { codeLetter: letter as CodeLetter } }
        : refused(fault("not-a-letter", `“${text.trim()}” is no code letter: A to V, without I, O and Q.`));
    },
    say: sayCodeLetter,
  },
  number("serviceFactor", "Service factor", "supply", "ranks", "1.35", [1, 2], {
    howToGet: "Not on the plate means 1.0.",
    take: (serviceFactor) => ({ serviceFactor }),
    say: ({ serviceFactor }) =>
      serviceFactor === undefined ? null : `service factor ${digits(serviceFactor)}`,
  }),
  number("serviceFactorAmps", "Service-factor amps", "supply", "helps", "3.1", [0.05, 200], {
    howToGet: "Where the plate gives no SFA: full-load amps times the service factor, nearly.",
    take: (serviceFactorAmps) => ({ serviceFactorAmps }),
    say: ({ serviceFactorAmps }) =>
      serviceFactorAmps === undefined ? null : `${digits(serviceFactorAmps)} A at the service factor`,
  }),
  {
    id: "runCapacitor",
    title: "Run capacitor",
    example: "5 MFD 370",
    part: "capacitor",
    matters: "ranks",
    howToGet:
      "The old capacitor’s own label when it was the factory’s; the FAN half of a dual; the schematic.",
    read: (text) => {
      const read = parseCapacitor(text);
      if (!read.ok) return read;
      const { label } = read;
      if (label.kind === "start")
        return refused(
          fault("wrong-kind", "A band such as 88-108 is a start capacitor: it goes in its own field."),
        );
      const microfarads = label.kind === "dual" ? label.fanMicrofarads : label.microfarads;
      return {
        ok: true,
        gives: {
          runCapacitor: { microfarads, ...(label.volts === undefined ? {} : { volts: label.volts }) },
        },
      };
    },
    say: ({ runCapacitor }) =>
      runCapacitor ? `run capacitor ${formatCapacitor({ kind: "single", ...runCapacitor })}` : null,
  },
  {
    id: "startCapacitor",
    title: "Start capacitor",
    example: "88-108 125",
    part: "capacitor",
    matters: "helps",
    howToGet: "The label of the black case on the motor or in the box.",
    read: (text) => {
      const read = parseCapacitor(text);
      if (!read.ok) return read;
      if (read.label.kind !== "start")
        return refused(
          fault("wrong-kind", "A start capacitor is a band, such as 88-108. One value is a run capacitor."),
        );
      const { lowMicrofarads, highMicrofarads, volts } = read.label;
      return {
        ok: true,
        gives: {
          startCapacitor: { lowMicrofarads, highMicrofarads, ...(volts === undefined ? {} : { volts }) },
        },
      };
    },
    say: ({ startCapacitor }) =>
      startCapacitor ? `start capacitor ${formatCapacitor({ kind: "start", ...startCapacitor })}` : null,
  },
  {
    id: "frame",
    title: "Frame",
    example: "48Y",
    part: "body",
    matters: "helps",
    howToGet: "Measure instead: body diameter, shaft and mount decide, the frame only names them.",
    read: (text) => {
      const frame = text
        .trim()
        .toUpperCase()
        .replace(/^NEMA\s*/, "");
      return /^[A-Z]{0,3}\d{2,3}[A-Z]{0,4}$/.test(frame)
        ? { ok: true, gives: { frame } }
        : refused(
            fault("not-a-frame", `“${text.trim()}” is no frame. Write it as stamped: 42, 48Y, 56, 143T.`),
          );
    },
    say: ({ frame }) => {
      if (!frame) return null;
      const number = /^\d{2}(?=\D|$)/.exec(frame)?.[0];
      // NEMA MG 1: a two-digit frame number is the shaft height in sixteenths of an inch.
      return number
        ? `frame ${frame}, shaft height ${formatLength((Number(number) / 16) * 25.4)} on a base`
        : `frame ${frame}`;
    },
  },
  length(
    "bodyDiameter",
    "Body diameter",
    "decides",
    "5-5/8",
    "A tape round the body, divided by 3.14; the frame number does not tell it.",
    {
      take: (bodyDiameterMm) => ({ bodyDiameterMm }),
      has: (plate) => plate.bodyDiameterMm,
      words: "body",
      after: " across",
    },
  ),
  length("bodyLength", "Body length", "decides", "6-1/4", "End bell to end bell, without the shaft.", {
    take: (bodyLengthMm) => ({ bodyLengthMm }),
    has: (plate) => plate.bodyLengthMm,
    words: "body",
    after: " long",
  }),
  length("shaftDiameter", "Shaft diameter", "decides", "1/2", "Calipers on clean shaft, or the hub’s bore.", {
    take: (shaftDiameterMm) => ({ shaftDiameterMm }),
    has: (plate) => plate.shaftDiameterMm,
    words: "shaft",
    after: " across",
  }),
  length(
    "shaftLength",
    "Shaft length",
    "ranks",
    "5-1/2",
    "From the end bell. Measure where the blade sits from a fixed face before pulling it.",
    {
      take: (shaftLengthMm) => ({ shaftLengthMm }),
      has: (plate) => plate.shaftLengthMm,
      words: "shaft",
      after: " long",
    },
  ),
  choice("shaftForm", "Shaft form", "body", "ranks", SHAFT_FORMS, {
    howToGet: "Look at it: the set screw wants a flat, a key its keyway.",
    take: (shaftForm) => ({ shaftForm }),
    has: (plate) => plate.shaftForm,
  }),
  choice(
    "shafts",
    "Shafts",
    "body",
    "decides",
    { 1: "one shaft", 2: "a shaft at both ends" },
    {
      howToGet: "Look at both ends.",
      take: (shafts) => ({ shafts: shafts === "2" ? 2 : 1 }),
      has: (plate) => (plate.shafts === undefined ? undefined : plate.shafts === 2 ? "2" : "1"),
    },
  ),
  words("mount", "Mount", "body", "decides", MOUNTS, "band", "See what holds it.", {
    take: (mounts) => ({ mounts }),
    has: (plate) => plate.mounts,
  }),
  length("boltCircle", "Bolt circle", "ranks", "7-1/2", "Across opposite bolts, or studs.", {
    take: (boltCircleMm) => ({ boltCircleMm }),
    has: (plate) => plate.boltCircleMm,
    words: "bolt circle",
    after: "",
  }),
  words("position", "Position", "body", "ranks", SHAFT_POSITIONS, "down", "See which way the shaft points.", {
    take: (positions) => ({ positions }),
    has: (plate) => plate.positions,
  }),
  choice("enclosure", "Enclosure", "use", "decides", ENCLOSURES, {
    howToGet:
      "Openings in the body mean open; closed and in the fan’s air is air-over; a fan under a cover at the back is fan-cooled.",
    take: (enclosure) => ({ enclosure }),
    has: (plate) => plate.enclosure,
  }),
  {
    id: "ambient",
    title: "Ambient",
    example: "40 C, or 104 F",
    part: "use",
    matters: "decides",
    howToGet: "Where the plate does not say, 40 °C is usual; condenser fans are often 60 °C.",
    read: (text) => {
      const read = parseTemperature(text);
      return read.ok ? { ok: true, gives: { ambientC: read.celsius } } : read;
    },
    say: ({ ambientC }) =>
      ambientC === undefined
        ? null
        : `ambient up to ${digits(ambientC)} °C (${Math.round(ambientC * 1.8 + 32)} °F)`,
  },
  choice(
    "insulationClass",
    "Insulation class",
    "use",
    "helps",
    { A: "class A", B: "class B", F: "class F", H: "class H" },
    {
      howToGet: "A helping figure only.",
      take: (insulationClass) => ({ insulationClass }),
      has: (plate) => plate.insulationClass,
    },
  ),
  choice("bearings", "Bearings", "use", "ranks", BEARINGS, {
    howToGet: "Not said: sleeve in most small fans, ball where the shaft points up or down under load.",
    take: (bearings) => ({ bearings }),
    has: (plate) => plate.bearings,
  }),
  choice("protector", "Protector", "use", "ranks", PROTECTORS, {
    howToGet: "A button at the back is reset by hand; “thermally protected” without one resets itself.",
    take: (protector) => ({ protector }),
    has: (plate) => plate.protector,
  }),
  choice("duty", "Duty", "use", "helps", DUTIES, {
    howToGet: "Not said means continuous in fans and pumps.",
    take: (duty) => ({ duty }),
    has: (plate) => plate.duty,
  }),
  number("leadCount", "Leads", "use", "helps", "5", [2, 12], {
    howToGet: "Count them, the green one not.",
    whole: true,
    take: (leadCount) => ({ leadCount }),
    say: ({ leadCount }) => (leadCount === undefined ? null : `${leadCount} leads`),
  }),
  {
    id: "leadColours",
    title: "Lead colors",
    example: "WH BK BN BN/WH",
    part: "use",
    matters: "helps",
    howToGet: "As they hang out; the plate’s drawing may name them. Colors suggest, the meter decides.",
    read: (text) => {
      const colours = text
        .trim()
        .split(/[\s,;]+/)
        .filter((word) => word !== "");
      return colours.length > 0 && colours.length <= 12
        ? { ok: true, gives: { leadColours: colours.map((word) => word.toUpperCase()) } }
        : refused(
            fault("not-colours", "Write the leads’ colors in a row, two to twelve of them: WH BK BN BN/WH."),
          );
    },
    say: ({ leadColours }) => (leadColours ? `leads ${leadColours.join(", ")}` : null),
  },
  length("leadLength", "Lead length", "ranks", "24", "From the body to the end.", {
    take: (leadLengthMm) => ({ leadLengthMm }),
    has: (plate) => plate.leadLengthMm,
    words: "leads",
    after: " long",
  }),
  choice(
    "weepPlugs",
    "Drain holes with plugs",
    "use",
    "ranks",
    { yes: "drain holes with plugs", no: "no drain holes" },
    {
      howToGet: "Look at the lower end bell.",
      take: (has) => ({ weepPlugs: has === "yes" }),
      has: (plate) => (plate.weepPlugs === undefined ? undefined : plate.weepPlugs ? "yes" : "no"),
    },
  ),
  {
    id: "altitude",
    title: "Altitude",
    example: "3000 ft, or 900 m",
    part: "use",
    matters: "helps",
    howToGet: "Over 1000 m (3300 ft) thinner air cools less and loads the fan less.",
    read: (text) => {
      const match = /^\s*([\d.,]+)\s*(ft|feet|'|m|metres?|meters?)?\s*$/i.exec(text);
      const value = parseNumber(match?.[1] ?? "");
      if (value === null)
        return refused(fault("not-an-altitude", `“${text.trim()}” is no altitude. Write 3000 ft or 900 m.`));
      const metres = /^m/i.test(match?.[2] ?? "") ? value : value * 0.3048;
      return metres <= 6000
        ? { ok: true, gives: { altitudeM: metres } }
        : refused(fault("out-of-range", "No equipment of this kind stands that high."));
    },
    say: ({ altitudeM }) =>
      altitudeM === undefined
        ? null
        : `${Math.round(altitudeM / 0.3048)} ft (${Math.round(altitudeM)} m) above the sea`,
  },
  {
    id: "number",
    title: "Model or serial number",
    example: "as stamped",
    part: "use",
    matters: "helps",
    howToGet: "A record is found by it again; nothing is worked out from it.",
    read: (text) =>
      text.trim() === ""
        ? refused(fault("not-a-number", "Write it as it is stamped."))
        : { ok: true, gives: { number: text.trim() } },
    say: ({ number: stamped }) => (stamped === undefined ? null : `number ${stamped}`),
  },
];

/** "4.0-4.2", amps over a range of volts: the greater, since what is too much is judged by it. */
function greaterOfRange(text: string): number | null {
  const ends = text.split(/\s*[–-]\s*/).map(parseNumber);
  const [first, second = first] = ends;
  if (ends.length > 2 || first === null || first === undefined || second === null) return null;
  return Math.max(first, second ?? first);
}

/** What a code letter comes to: kVA for each hp, and the amps where power and volts are known. */
function sayCodeLetter({ codeLetter, powerWatts, volts, phase }: Plate): string | null {
  if (!codeLetter) return null;
  const [from, to] = CODE_LETTERS[codeLetter];
  const supply = volts?.at(-1)?.high;
  const kva = `code ${codeLetter}, ${from} to ${to} kVA for each hp with the rotor locked`;
  if (!powerWatts || supply === undefined) return kva;
  const hp = Math.max(...powerWatts) / WATTS_PER_HP;
  const amps = (kvaPerHp: number) =>
    digits((1000 * kvaPerHp * hp) / (supply * (phase === 3 ? Math.sqrt(3) : 1)), 2);
  return `${kva}: ${amps(from)} to ${amps(to)} A at ${supply} V`;
}
