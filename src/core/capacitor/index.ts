/** The door of the capacitors: run, dual, start, combinations, tests, discharge. */

export { type CapacitorVerdict, judgeMeasured, microfaradsUnderLoad } from "./capacitorTest";
export { type Combination, combinations } from "./combinations";
export {
  DISCHARGE_RULES,
  type DischargeStep,
  discharge,
  dischargeSequence,
  SAFE_VOLTS,
  voltsLeft,
} from "./discharge";
export { type CapacitorEstimate, estimateRun } from "./estimate";
export { type LikeForLike, likeForLike, type ReplacementWay } from "./likeForLike";
export { type Decided, plateOverLabel } from "./plateOverLabel";
export { type PresentCapacitor, planRun, type RunPlan, type RunSchool } from "./runPlan";
export type { ShelfCapacitor } from "./shelf";
export { judgeStart, startsOnShelf, startVoltsFor, typicalStart } from "./start";
export { START_DEVICES, START_RULES } from "./startDevice";
export { LIFE_HOURS, type LifeClass, USUAL_TOLERANCE_PERCENT } from "./values";
