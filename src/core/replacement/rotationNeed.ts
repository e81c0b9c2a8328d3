import { formatRotation, type Rotation } from "../quantity/rotation";

/** Looking at a propeller blade from the side the air leaves, which edge leads: the one nearer to the viewer is behind. */
export type BladePitch = "higher-left" | "higher-right";

/** What a person can see of a fan without power. */
export type FanSeen =
  | {
      readonly kind: "propeller";
      /** Standing on the side the air is blown to, looking at the topmost blade: its edge nearer to the eye. */
      readonly nearEdge: "left" | "right";
      /** Where the motor's leads are as one stands there. */
      readonly leadEnd: "towards-me" | "away-from-me";
    }
  | {
      readonly kind: "blower";
      /** Looking into the scroll at its side, the way from the tongue round the growing gap to the mouth. */
      readonly scrollOpens: "clockwise" | "counter-clockwise";
      readonly leadEnd: "towards-me" | "away-from-me";
    };

/** The turn that a fan wants, worked out from what is seen. */
export interface RotationNeed {
  readonly rotation: Exclude<Rotation, "either">;
  readonly says: string;
}

/**
 * The direction a fan must turn. A propeller pushes air with the face of its blades: seen from the side the air goes
 * to, the edge farther from the eye goes first, so the blade moves towards the side of its far edge. A blower wheel
 * turns the way its scroll opens.
 */
export function rotationFor(seen: FanSeen): RotationNeed {
  const clockwiseToMe =
    seen.kind === "propeller" ? seen.nearEdge === "left" : seen.scrollOpens === "clockwise";
  const clockwiseFromLeads = clockwiseToMe === (seen.leadEnd === "towards-me");
  const rotation = clockwiseFromLeads ? "cw-lead-end" : "ccw-lead-end";
  const why =
    seen.kind === "propeller"
      ? `The top blade’s far edge is on the ${seen.nearEdge === "left" ? "right" : "left"} and goes first, so from where you stand it turns ${clockwiseToMe ? "clockwise" : "counter-clockwise"}`
      : `The wheel turns the way the scroll opens, ${seen.scrollOpens} from where you stand`;
  const leads =
    seen.leadEnd === "towards-me" ? "the leads are on your side" : "the leads are on the far side";
  return { rotation, says: `${why}; ${leads}: ${formatRotation(rotation)}.` };
}

/** Whether a motor can turn the way that is needed. */
export function canTurn(has: Rotation, needed: Rotation): boolean {
  return has === "either" || needed === "either" || has === needed;
}
