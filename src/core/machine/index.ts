/** The door of the machine: the AC model, its sweep and its operating point. */

export {
  type Branch,
  type CapacitorBranch,
  CONTACT_OHMS,
  type Machine,
  type SourceBranch,
  type WindingBranch,
} from "./circuit";
export { abs, ZERO } from "./complex";
export { fedMotor } from "./fedMotor";
export { type FieldPlace, fromThreePhase, type RotorField } from "./field";
export { type Load, loadTorque, rpmOf } from "./load";
export {
  type OperatingPoint,
  operatingPoint,
  runUp,
  type StartContact,
  type SweepPoint,
  sweep,
} from "./operatingPoint";
export {
  type BranchState,
  type PowerBalance,
  type PreparedMachine,
  prepared,
  type Solution,
  solve,
} from "./solve";
