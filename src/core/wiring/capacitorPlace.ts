import type { Compartment } from "./compartment";
import { singleCapacitor } from "./equipment/parts";
import type { CapacitorWork, RemovedWire } from "./plan";

/** The run capacitor that the new motor's plate asks for. */
export interface AskedCapacitor {
  readonly microfarads: number;
  readonly volts: number;
  /** The plate says so; else it is an estimate for the figures, never a rating. */
  readonly known: boolean;
}

/** One way to give the motor its run capacitor: the equipment as it then is. */
export interface CapacitorPlace {
  readonly id: "keep-one-dual" | "own-capacitor" | "on-the-capacitor" | "line-wire-stays" | "as-it-is";
  readonly school: string;
  readonly compartment: Compartment;
  readonly work: readonly CapacitorWork[];
  readonly removed: readonly RemovedWire[];
  readonly cautions: readonly string[];
}

/** A capacitor this near the plate's value is kept. */
const SAME_VALUE = 0.06;
const OWN = "own";

/**
 * The ways to give a motor its run capacitor in this equipment: one dual kept, or a capacitor of its own; on an old single
 * capacitor both capacitor leads, or the line wire left on it. Without a run capacitor to place there is one way.
 *
 * @param duplicate the motor brings its run end out twice.
 * @param otherSide what the capacitor's side away from the start winding hangs on: the return, as with windings joined
 *   inside, or the switched line; a capacitor wired to the return already does not serve there as it is.
 */
export function capacitorPlaces(
  made: Compartment,
  asked: AskedCapacitor | null,
  duplicate: boolean,
  otherSide: "return" | "line" = "return",
): CapacitorPlace[] {
  const { capacitor } = made.offers;
  if (!asked && capacitor?.tied && made.offers.takesStartOut) return [withoutIt(made, capacitor.device)];
  if (!asked) return [{ id: "as-it-is", school: "", compartment: made, work: [], removed: [], cautions: [] }];
  if (!capacitor) return [own(made, asked, "own-capacitor", "", [])];
  const onLine = otherSide === "line";
  if (capacitor.dual) {
    const ownOne = own(
      made,
      asked,
      "own-capacitor",
      onLine ? "" : "A separate capacitor for the fan",
      leftEmpty(made),
    );
    return onLine ? [ownOne] : [keepDual(made, asked), ownOne];
  }
  const { compartment, work } = withValue(made, capacitor.device, asked);
  const stays: CapacitorPlace = {
    id: "line-wire-stays",
    school: capacitor.tied && duplicate ? "The line wire stays on the capacitor" : "",
    compartment,
    work: [work],
    removed: [],
    cautions: [],
  };
  // Beside start gear the capacitor's own wires feed that too: they stay.
  if (!capacitor.tied || made.offers.takesStartOut || (!duplicate && !onLine)) return [stays];
  const wires = compartment.wires.filter(
    ({ from, to, serves }) => !serves && (from === capacitor.lineSide || to === capacitor.lineSide),
  );
  const gone = new Set(wires.map(({ id }) => id));
  const untied: CapacitorPlace = {
    ...stays,
    id: "on-the-capacitor",
    school: onLine ? "" : "Both capacitor leads on the capacitor",
    compartment: {
      ...compartment,
      wires: compartment.wires.filter(({ id }) => !gone.has(id)),
      offers: { ...compartment.offers, capacitor: { ...capacitor, tied: false } },
    },
    removed: wires,
  };
  return onLine ? [untied] : [untied, stays];
}

/** The run capacitor that hangs across the start gear comes out: the motor starts through a capacitor and runs without. */
function withoutIt(made: Compartment, deviceId: string): CapacitorPlace {
  const device = made.devices.find(({ id }) => id === deviceId);
  const ends = new Set(device?.terminals.map(({ id }) => id));
  const off = made.wires.filter(({ from, to }) => ends.has(from) || ends.has(to));
  const part = device?.parts.find((p) => p.kind === "capacitor");
  return {
    id: "as-it-is",
    school: "",
    compartment: { ...made, wires: made.wires.filter((wire) => !off.includes(wire)) },
    work:
      part?.kind === "capacitor"
        ? [
            {
              device: deviceId,
              change: "removed",
              microfarads: part.microfarads,
              volts: part.volts,
              known: false,
            },
          ]
        : [],
    removed: off,
    cautions: ["This motor takes no run capacitor: the box’s comes out, or the box is the wrong one for it."],
  };
}

function keepDual(made: Compartment, asked: AskedCapacitor): CapacitorPlace {
  const device = made.offers.capacitor?.device ?? "";
  const { compartment, work } = withValue(made, device, asked, made.offers.capacitor?.startSide);
  return {
    id: "keep-one-dual",
    school: "Keep the dual capacitor",
    compartment,
    work: [work],
    removed: [],
    cautions: ["The FAN side has the microfarads of the NEW motor; the HERM side stays as the compressor’s."],
  };
}

function own(
  made: Compartment,
  asked: AskedCapacitor,
  id: CapacitorPlace["id"],
  school: string,
  left: readonly CapacitorWork[],
): CapacitorPlace {
  return {
    id,
    school,
    compartment: {
      ...made,
      devices: [...made.devices, singleCapacitor(OWN, asked.microfarads, asked.volts, "fan’s own capacitor")],
      offers: {
        ...made.offers,
        capacitor: { device: OWN, startSide: `${OWN}.2`, lineSide: `${OWN}.1`, tied: false, dual: false },
      },
    },
    work: [{ device: OWN, change: "added", ...asked }, ...left],
    removed: [],
    cautions: ["Strap the new capacitor down, its terminals covered."],
  };
}

function leftEmpty({ offers, devices }: Compartment): CapacitorWork[] {
  const { device = "", startSide } = offers.capacitor ?? {};
  const part = devices
    .find(({ id }) => id === device)
    ?.parts.find((p) => p.kind === "capacitor" && (p.from === startSide || p.to === startSide));
  return part?.kind === "capacitor"
    ? [{ device, change: "left-empty", microfarads: part.microfarads, volts: part.volts, known: true }]
    : [];
}

/**
 * The equipment with a capacitor's value set; kept where somebody stated that it is that already and its volts suffice.
 * Where nobody stated what is there, the plan asks for it and takes nothing of it for given.
 */
function withValue(
  made: Compartment,
  deviceId: string,
  asked: AskedCapacitor,
  side?: string,
): { compartment: Compartment; work: CapacitorWork } {
  let change: CapacitorWork["change"] = "kept";
  let volts = asked.volts;
  let microfarads = asked.microfarads;
  const devices = made.devices.map((device) =>
    device.id !== deviceId
      ? device
      : {
          ...device,
          parts: device.parts.map((p) => {
            if (p.kind !== "capacitor" || p.start || (side && p.from !== side && p.to !== side)) return p;
            const same =
              p.stated !== undefined &&
              Math.abs(p.microfarads / asked.microfarads - 1) <= SAME_VALUE &&
              p.volts >= asked.volts;
            if (p.stated === undefined) change = "fit";
            else if (!same) change = "replaced";
            // A dual has one rating of volts for both halves: the higher that somebody stated stays.
            volts = p.stated === undefined ? asked.volts : Math.max(p.volts, asked.volts);
            microfarads = same ? p.microfarads : asked.microfarads;
            return { ...p, microfarads, volts };
          }),
        },
  );
  return {
    compartment: { ...made, devices },
    work: { device: deviceId, change, microfarads, volts, known: asked.known },
  };
}
