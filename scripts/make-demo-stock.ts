/**
 * Makes the demo stock and the record of past jobs: motors and capacitors of the invented makers, and three hundred
 * failed motors of the invented harbour, drawn from seeds so that their figures agree with one another, and frozen in
 * src/server/demo/. Run it only to change the demo world.
 */
import { writeFileSync } from "node:fs";
import { pick, type Random, seededRandom } from "../src/core/bench";
import { uuidAt } from "./lib/uuidAt";

type Typed = Record<string, string>;

const WATTS_PER_HP = 745.7;
const hpOf = (text: string) => {
  const [above = "1", below = "1"] = text.split("/");
  return Number(above) / Number(below);
};
const RUN_VALUES = [2, 2.5, 3, 4, 5, 6, 7.5, 10, 12.5, 15, 17.5, 20, 25, 30, 35, 40, 45, 50, 55, 60, 70, 80];

/** Full-load amps of a small motor: efficiency and power factor of its size and kind. */
function ampsOf(hp: number, volts: number, phase: number): number {
  const efficiency = 0.5 + 0.12 * Math.log10(hp * 20);
  const factor = phase === 3 ? 0.72 : 0.9;
  return (hp * WATTS_PER_HP) / (efficiency * factor * volts * (phase === 3 ? Math.sqrt(3) : 1));
}

/** A run capacitor of such a motor at 370 V: about 13 µF for each hp, more for the slower ones. */
function microfaradsOf(hp: number, rpm: number): number {
  const wanted = 2.2 + hp * (rpm < 900 ? 16 : rpm < 1200 ? 13 : 11);
  return RUN_VALUES.reduce((best, next) => (Math.abs(next - wanted) < Math.abs(best - wanted) ? next : best));
}

interface Kind {
  readonly what: string;
  readonly places: readonly string[];
  readonly weight: number;
  readonly powers: readonly string[];
  readonly speeds: readonly string[];
  readonly volts: readonly string[];
  readonly fixed: Typed;
  readonly rotations: readonly string[];
  readonly bodies: readonly string[];
  readonly capacitor: boolean;
}

const KINDS: readonly Kind[] = [
  {
    what: "condenser fan",
    places: ["Ice house", "Fish hall", "Harbour office", "Smokery", "Sea-life hatchery"],
    weight: 9,
    powers: ["1/6", "1/4", "1/4", "1/3", "1/3", "1/2"],
    speeds: ["1075", "1075", "1075", "825"],
    volts: ["208-230"],
    fixed: {
      phase: "1",
      hertz: "60",
      shaftDiameter: "1/2",
      shaftForm: "flat",
      mount: "studs, band",
      enclosure: "air-over",
      ambient: "60 C",
      bearings: "ball",
      protector: "auto",
      position: "up",
    },
    rotations: ["CW LE", "CCW LE"],
    bodies: ["5-5/8"],
    capacitor: true,
  },
  {
    what: "furnace blower",
    places: ["Harbour office", "Chandlery", "Boatyard", "Net-drying loft"],
    weight: 8,
    powers: ["1/4", "1/3", "1/3", "1/2", "1/2", "3/4"],
    speeds: ["1075/3SPD", "1075/4SPD", "1075/2SPD"],
    volts: ["115", "115", "208-230"],
    fixed: {
      phase: "1",
      hertz: "60",
      shaftDiameter: "1/2",
      shaftForm: "flat",
      mount: "band",
      enclosure: "open-drip-proof",
      ambient: "40 C",
      bearings: "sleeve",
      protector: "auto",
      position: "level",
    },
    rotations: ["CW LE", "CCW LE"],
    bodies: ["5-5/8"],
    capacitor: true,
  },
  {
    what: "fan coil",
    places: ["Harbour office", "Chandlery", "Sea-life hatchery"],
    weight: 4,
    powers: ["1/10", "1/8", "1/6", "1/5"],
    speeds: ["1075/3SPD", "1550/3SPD"],
    volts: ["115", "208-230"],
    fixed: {
      phase: "1",
      hertz: "60",
      shaftDiameter: "1/2",
      shaftForm: "flat",
      mount: "band",
      enclosure: "open-drip-proof",
      ambient: "40 C",
      bearings: "sleeve",
      protector: "auto",
      position: "level",
    },
    rotations: ["CW LE", "CCW LE"],
    bodies: ["5"],
    capacitor: true,
  },
  {
    what: "exhaust fan",
    places: ["Fish hall", "Smokery", "Boatyard", "Net-drying loft"],
    weight: 3,
    powers: ["1/4", "1/3", "1/2"],
    speeds: ["1725", "1140"],
    volts: ["115/230"],
    fixed: {
      phase: "1",
      hertz: "60",
      shaftDiameter: "5/8",
      shaftForm: "keyway",
      mount: "base",
      enclosure: "fan-cooled",
      ambient: "40 C",
      bearings: "ball",
      protector: "manual",
      position: "level",
    },
    rotations: ["REV"],
    bodies: ["6-1/2"],
    capacitor: false,
  },
  {
    what: "circulation pump",
    places: ["Sea-life hatchery", "Ice house"],
    weight: 1,
    powers: ["1/2", "3/4", "1"],
    speeds: ["3450"],
    volts: ["115/230"],
    fixed: {
      load: "pump",
      phase: "1",
      hertz: "60",
      shaftDiameter: "5/8",
      shaftForm: "keyway",
      mount: "face",
      enclosure: "open-drip-proof",
      ambient: "40 C",
      bearings: "ball",
      protector: "auto",
      position: "level",
    },
    rotations: ["CW LE"],
    bodies: ["6-1/2"],
    capacitor: false,
  },
];

function weighted(random: Random): Kind {
  let left = random() * KINDS.reduce((sum, { weight }) => sum + weight, 0);
  for (const kind of KINDS) {
    left -= kind.weight;
    if (left < 0) return kind;
  }
  return KINDS[0] as Kind;
}

/** A failed motor: some fields of its plate could still be read, the ones that decide more often than the rest. */
function pastJob(i: number) {
  const random = seededRandom(40_000 + i);
  const kind = weighted(random);
  const power = pick(random, kind.powers);
  const speed = pick(random, kind.speeds);
  const volts = pick(random, kind.volts);
  const rpm = Number.parseInt(speed, 10);
  const figure = Number(/\d+$/.exec(volts)?.[0] ?? volts);
  const plate: Typed = {
    power,
    speed,
    volts,
    ...kind.fixed,
    rotation: pick(random, kind.rotations),
    bodyDiameter: pick(random, kind.bodies),
    amps: ampsOf(hpOf(power), figure, 1).toFixed(1),
  };
  if (kind.capacitor)
    plate.runCapacitor = `${microfaradsOf(hpOf(power), rpm)} MFD ${random() < 0.5 ? 370 : 440}`;
  for (const field of ["bearings", "protector", "position", "ambient", "amps", "shaftForm"])
    if (random() < 0.25) delete plate[field];
  const ms = Date.parse("2025-12-01T08:00:00Z") + Math.floor(random() * 350 * 86_400_000);
  return {
    id: uuidAt(ms, random),
    at: new Date(ms).toISOString(),
    by: pick(random, ["Maren Osk", "Ilo Brandt", "Petra Quill", "Dov Hask"]),
    title: `${pick(random, kind.places)} ${kind.what}`,
    plate,
  };
}

interface Line {
  readonly name: string;
  readonly part: string;
  readonly count: number;
  readonly minimum: number;
  readonly cost: number;
  readonly place: string;
}

const stock: Record<string, unknown>[] = [];
const stockRandom = seededRandom(7);
function put(line: Line, more: Record<string, unknown>) {
  stock.push({
    id: uuidAt(Date.parse("2025-11-20T08:00:00Z") + stock.length, stockRandom),
    ...line,
    ...more,
  });
}

/** Ohms that the makers' leaflets state, by part: the motors of two demo jobs are of these models. */
const STATED: Readonly<Record<string, string>> = {
  "LH-250-1075B": "BN–BK 27.6, BK–YE 14.1, BN–YE 41.7, YE–BN/WH 0 at 20 °C",
  "LC-200-1075B":
    "GY–VT 18.5, GY–TQ 3.7, GY–YE/BN 14.4, TQ–BU/OG 4.8, BU/OG–PK 27.1, VT–PK 0, PK–GY/VT 73.4 at 20 °C",
};

const van = () => pick(stockRandom, ["van 1", "van 2", "shop", "shop"]);
/** Motors of one maker's line, on the truck or to order, their figures by the same rules as the past jobs'. */
function motorLine(
  maker: string,
  type: string,
  powers: readonly string[],
  kind: Kind,
  speed: string,
  volts: string,
  more: Typed,
  onTruck: number,
) {
  for (const power of powers) {
    const [first = power] = power.split(",");
    const hp = hpOf(first.trim());
    const rpm = Number.parseInt(speed, 10);
    const amps = volts
      .split("/")
      .map((part) => ampsOf(hp, Number(/\d+$/.exec(part)?.[0] ?? part), 1).toFixed(1))
      .join("/");
    const part = `${type}-${Math.round(hp * 1000)}-${rpm}${/115/.test(volts) ? (/230/.test(volts) ? "D" : "A") : "B"}${more.rotation === undefined ? "" : more.rotation.startsWith("CCW") ? "L" : "R"}`;
    put(
      {
        name: `${maker} ${part}`,
        part,
        count: Math.max(0, Math.round(onTruck - stockRandom() * 2)),
        minimum: onTruck > 1 ? 1 : 0,
        cost:
          Math.round(
            100 *
              (34 + 95 * hp ** 0.8 + (power.includes(",") ? 26 : 0) + (more.kind === "retrofit" ? 90 : 0)),
          ) / 100,
        place: van(),
      },
      {
        ohms: STATED[part] ?? "",
        kind: "motor",
        plate: {
          kind: "plain",
          power,
          speed,
          volts,
          amps,
          ...kind.fixed,
          rotation: "REV",
          bodyDiameter: kind.bodies[0],
          bodyLength: `${(4 + hp * 4).toFixed(1)} in`,
          shaftLength: kind.fixed.mount === "band" ? "4-1/2" : "5-1/2",
          leadLength: "24",
          ...(kind.capacitor ? { runCapacitor: `${microfaradsOf(hp, rpm)} MFD 370` } : {}),
          ...more,
        },
      },
    );
  }
}
const [condenser, blower, coil, exhaust, pump] = KINDS as readonly [Kind, Kind, Kind, Kind, Kind];
const anyPlace = { position: "up, down, level", bearings: "ball", weepPlugs: "yes" };
motorLine("Larkhull", "LH", ["1/6", "1/4", "1/3", "1/2"], condenser, "1075", "208-230", anyPlace, 2);
motorLine("Larkhull", "LHU", ["1/2, 1/3, 1/4, 1/6"], condenser, "1075", "208-230", anyPlace, 3);
motorLine("Larkhull", "LH", ["1/4", "1/3"], condenser, "825", "208-230", anyPlace, 1);
motorLine(
  "Osmund & Pike",
  "OP",
  ["1/4", "1/3", "1/2"],
  condenser,
  "1075",
  "208-230",
  { ...anyPlace, rotation: "CW LE" },
  1,
);
motorLine(
  "Osmund & Pike",
  "OP",
  ["1/4", "1/3", "1/2"],
  condenser,
  "1075",
  "208-230",
  { ...anyPlace, rotation: "CCW LE" },
  0,
);
motorLine("Varnholt Drives", "VD", ["1/4", "1/3", "1/2", "3/4"], blower, "1075/4SPD", "115", {}, 2);
motorLine("Varnholt Drives", "VD", ["1/4", "1/3", "1/2", "3/4"], blower, "1075/4SPD", "208-230", {}, 1);
motorLine("Varnholt Drives", "VDU", ["1/2, 1/3, 1/4, 1/5"], blower, "1075/4SPD", "115", {}, 2);
motorLine("Osmund & Pike", "OPB", ["1/3", "1/2"], blower, "1075/3SPD", "115", { rotation: "CW LE" }, 0);
motorLine(
  "Varnholt Drives",
  "VDE",
  ["1/2, 1/3", "1, 3/4"],
  blower,
  "1300",
  "115/230",
  { kind: "retrofit" },
  1,
);
motorLine("Larkhull", "LC", ["1/10", "1/6", "1/5"], coil, "1075/3SPD", "115", {}, 1);
motorLine("Larkhull", "LC", ["1/10", "1/6", "1/5"], coil, "1075/3SPD", "208-230", {}, 1);
motorLine("Larkhull", "LC", ["1/8", "1/5"], coil, "1550/3SPD", "115", {}, 0);
motorLine("Osmund & Pike", "OX", ["1/4", "1/3", "1/2"], exhaust, "1725", "115/230", {}, 1);
motorLine("Osmund & Pike", "OX", ["1/3", "1/2"], exhaust, "1140", "115/230", {}, 0);
motorLine("Varnholt Drives", "VP", ["1/2", "3/4", "1"], pump, "3450", "115/230", { rotation: "CW LE" }, 1);

for (const microfarads of [3, 4, 5, 6, 7.5, 10, 12.5, 15, 20, 25, 30, 35, 40, 45])
  for (const volts of microfarads <= 15 ? [370, 440] : [440])
    put(
      {
        name: `${microfarads} µF ${volts} V round`,
        part: `RC${microfarads * 10}-${volts}`,
        count: microfarads <= 10 ? 3 : 1,
        minimum: microfarads <= 10 ? 2 : 0,
        cost: Math.round(100 * (4 + microfarads * 0.16 + (volts === 440 ? 1.2 : 0))) / 100,
        place: van(),
      },
      { kind: "capacitor", label: `${microfarads} MFD ${volts} ±6%` },
    );
for (const [herm, fan] of [
  [30, 5],
  [35, 5],
  [35, 6],
  [40, 5],
  [45, 5],
  [45, 7.5],
  [50, 10],
])
  put(
    {
      name: `${herm}+${fan} µF 440 V dual`,
      part: `DC${herm}-${fan}`,
      count: 1,
      minimum: 1,
      cost: 11 + (herm ?? 0) / 10,
      place: van(),
    },
    { kind: "capacitor", label: `${herm}+${fan} MFD 440` },
  );
for (const [low, high, volts] of [
  [88, 108, 250],
  [130, 156, 125],
  [189, 227, 165],
  [270, 324, 125],
  [400, 480, 125],
])
  put(
    {
      name: `${low}–${high} µF ${volts} V start`,
      part: `SC${low}-${volts}`,
      count: 1,
      minimum: 0,
      cost: 9.5,
      place: van(),
    },
    { kind: "capacitor", label: `${low}-${high} MFD ${volts}` },
  );

const past = Array.from({ length: 300 }, (_, i) => pastJob(i));
writeFileSync("src/server/demo/stock.json", `${JSON.stringify(stock, null, 1)}\n`);
writeFileSync("src/server/demo/pastJobs.json", `${JSON.stringify(past)}\n`);
console.log(stock.length, "stock lines,", past.length, "past jobs");
