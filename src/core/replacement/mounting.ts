import { formatLength } from "../quantity/length";
import type { Candidate, Need } from "./need";

/** One line of the checklist for mounting. */
export interface MountingStep {
  readonly id: string;
  readonly says: string;
}

/** Slack within which two lengths are the same, mm. */
const SAME_MM = 3;

/** What to mind when the new motor goes in, in the order of the hands; only what concerns these two motors and place. */
export function mountingSteps({ old, airOpeningMm }: Need, { plate }: Candidate): MountingStep[] {
  const steps: (MountingStep | false | undefined)[] = [
    {
      id: "blade-mark",
      says: "Before pulling the blade: measure its place on the shaft from a fixed face, and mark which way it turns.",
    },
    plate.volts !== undefined &&
      plate.volts.length > 1 && {
        id: "set-volts",
        says: "Set the voltage connection before it is mounted, and mark the motor with it.",
      },
    plate.mounts?.includes("band") && {
      id: "band",
      says: "Band between the vents and the stator’s marks, never over the vents.",
    },
    plate.mounts?.includes("studs") && {
      id: "studs",
      says: "Studs long enough; what stands out is cut or bent clear of the blade. Holes drilled anew take bolts and nuts, not sheet-metal screws.",
    },
    plate.mounts?.includes("torsion") && {
      id: "torsion",
      says: "Torsion legs are for light motors: see that the legs carry this one without sagging.",
    },
    airOpeningMm !== undefined && {
      id: "bolt-circle",
      says: `Bolt circle at least an inch over the opening of ${formatLength(airOpeningMm)}.`,
    },
    {
      id: "lead-exit",
      says: "Lead exit between four and eight o’clock, so that water runs off; a drip loop in the leads.",
    },
    plate.weepPlugs !== false && { id: "weep", says: "The lowest drain plug out, the others in." },
    old.positions?.[0] === "up" && {
      id: "rain-shield",
      says: "Shaft up: fit the rain shield over the shaft.",
    },
    plate.shaftLengthMm !== undefined &&
      old.shaftLengthMm !== undefined &&
      plate.shaftLengthMm > old.shaftLengthMm + SAME_MM && {
        id: "cut-shaft",
        says: `Dry fit first; then the shaft may be cut to ${formatLength(old.shaftLengthMm)}, never shorter than the blade’s place and its hub.`,
      },
    { id: "set-screw", says: "Set screw on the flat, or key in its way; blade back at its mark." },
    { id: "turn", says: "Turn it by hand, a full turn: nothing rubs." },
  ];
  return steps.filter((step): step is MountingStep => typeof step === "object");
}
