/** The door of the replacement: rules, ranking, mounting, rotation, retrofits, the truck plan. */

export { type Difference, differences } from "./differences";
export { HARD_RULES } from "./hardRules";
export { judgeCandidate, type Matches, match, type Offer, type Reason, type RuledOut } from "./match";
export { type MountingStep, mountingSteps } from "./mounting";
export type { Candidate, Need } from "./need";
export { powerLeadFor } from "./powerLead";
export { RETROFIT_STEPS, retrofitSize } from "./retrofit";
export { canTurn, type FanSeen, rotationFor } from "./rotationNeed";
export { setCover } from "./setCover";
export { SOFT_RULES } from "./softRules";
export {
  type PastNeed,
  planTruck,
  type TruckObjective,
  type TruckPart,
  type TruckPlan,
  type TruckProgress,
} from "./truckPlan";
