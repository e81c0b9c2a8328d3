import { type DischargeStep, dischargeSequence } from "../capacitor/discharge";
import type { Compartment, Device } from "../wiring/compartment";

/** One thing to do before anything is touched. */
export type SafeStep =
  | { readonly kind: "do"; readonly id: string; readonly does: string; readonly because: string }
  /** Volts between two places, under {@link DEAD_VOLTS}. */
  | { readonly kind: "dead"; readonly id: string; readonly does: string; readonly because: string }
  | {
      readonly kind: "discharge";
      readonly id: string;
      readonly does: string;
      readonly because: string;
      readonly touches: readonly DischargeStep[];
      /** Peak volts that may stand there, and the tool reckoned with. */
      readonly peakVolts: number;
      readonly toolOhms: number;
    };

/** Under this a place is taken for dead (trade practice, no standard behind it). */
export const DEAD_VOLTS = 10;
/** The usual tool: 20 kΩ. */
const TOOL_OHMS = 20_000;
/** Of a run capacitor whose label nobody has read. */
const USUAL_VOLTS = 440;

/**
 * The steps that make this equipment safe, in the order of the hands. Only what is there is named: its control supply,
 * the leg that a one-pole contactor leaves live, its capacitors with their seconds.
 */
export function safeSteps(made: Compartment, turns: "fan" | "blower" | "pump" | "belt" | null): SafeStep[] {
  const lines = made.supply.terminals.filter((id) => id !== "N");
  const control = made.supply.control;
  const live = liveLegs(made);
  return [
    {
      kind: "do",
      id: "off",
      does: `Stop every call, open the disconnect${control ? ` and the control supply (${Math.round(control.volts)} V may come from another circuit)` : ""}, lock it and tag it.`,
      because: fuel(made) ? "Fuel off first where a burner can fire." : "Nobody else may close it.",
    },
    {
      kind: "do",
      id: "meter",
      does: "Prove the meter on a live source, now and again after.",
      because: "Live, dead, live: a meter that shows nothing anywhere proves nothing.",
    },
    ...live.map(
      (leg): SafeStep => ({
        kind: "do",
        id: `leg-${leg}`,
        does: `${leg} stays live at the load side while only the contactor is open: it breaks one pole.`,
        because: "The disconnect makes it dead, the contactor does not.",
      }),
    ),
    {
      kind: "dead",
      id: "dead",
      does: `${pairsOf([...made.supply.terminals, "ground"])}: under ${DEAD_VOLTS} V each.`,
      because: "Low-impedance mode where the meter has one. Anything else is another source: look for it.",
    },
    ...capacitorSteps(made),
    ...(turns === null
      ? []
      : [
          {
            kind: "do" as const,
            id: "still",
            does:
              turns === "pump"
                ? "Pump stopped, its pressure let off."
                : turns === "belt"
                  ? "Belt and pulleys stand still."
                  : "The blades stand still; wind turns them too.",
            because: "A blade bites.",
          },
        ]),
    ...(lines.length > 0 && hasCompressor(made)
      ? [
          {
            kind: "do" as const,
            id: "compressor",
            does: "The cover of the compressor’s terminals stays on.",
            because: "Under pressure they can blow out.",
          },
        ]
      : []),
  ];
}

/** Legs of the supply that no contact of a call breaks, behind a contactor of one pole. */
function liveLegs(made: Compartment): string[] {
  const contactor = made.devices.find(({ id }) => id === "contactor");
  const poles = contactor?.parts.filter((part) => part.kind === "contact") ?? [];
  return poles
    .filter((part) => part.kind === "contact" && part.closedOn === "always")
    .map(({ from }) => from)
    .filter((from) => made.supply.terminals.includes(from));
}

function fuel({ id, title }: Compartment): boolean {
  return /furnace|burner/i.test(`${id} ${title}`);
}

function hasCompressor({ devices }: Compartment): boolean {
  return devices.some(({ parts }) => parts.some(({ kind }) => kind === "compressor"));
}

function pairsOf(places: readonly string[]): string {
  return places.flatMap((one, i) => places.slice(i + 1).map((other) => `${one} to ${other}`)).join(", ");
}

function capacitorSteps({ devices }: Compartment): SafeStep[] {
  return devices.flatMap((device): SafeStep[] => {
    const parts = device.parts.filter((part) => part.kind === "capacitor");
    if (parts.length === 0) return [];
    const volts = Math.max(...parts.map((part) => (part.kind === "capacitor" ? part.volts : USUAL_VOLTS)));
    return [
      {
        kind: "discharge",
        id: `discharge-${device.id}`,
        does: `Discharge the ${device.name} through ${TOOL_OHMS / 1000} kΩ, measure each pair, and again after a minute.`,
        because: "Capacitors charge again by themselves.",
        touches: touchesOf(device, volts),
        peakVolts: Math.SQRT2 * volts,
        toolOhms: TOOL_OHMS,
      },
    ];
  });
}

/** A dual C to FAN, C to HERM, HERM to FAN. */
function touchesOf({ parts }: Device, volts: number): readonly DischargeStep[] {
  const capacities = parts.flatMap((part) => (part.kind === "capacitor" ? [part] : []));
  const half = (name: string) =>
    capacities.find(({ to, from }) => [to, from].some((end) => end.endsWith(`.${name}`)));
  const [fan, herm] = [half("FAN"), half("HERM")];
  if (!fan || !herm)
    return capacities.flatMap(({ microfarads }) =>
      dischargeSequence({ kind: "single", microfarads }, volts, TOOL_OHMS),
    );
  const [first, second, last] = dischargeSequence(
    { kind: "dual", hermMicrofarads: herm.microfarads, fanMicrofarads: fan.microfarads },
    volts,
    TOOL_OHMS,
  );
  return [second, first, last].flatMap((touch) => touch ?? []);
}
