/** The door of the wiring: equipment, plans, the check, the drawing. */

export { feedingOf } from "../machine/feedingOf";
export { type FittedMotor, fitMotor } from "../machine/fitMotor";
export type { Kick, KickAsked, Polarity } from "../machine/polarity";
export { type Rating, ratingOf } from "../machine/rating";
export { canHavePlug, turnedByPlug } from "../machine/rotationPlug";
export { type WoundMotor, woundMotor } from "../machine/woundMotor";
export { boardNumber, tapSlot } from "../motor/slot";
export type { Point } from "../quantity/point";
export type { AskedCapacitor } from "./capacitorPlace";
export type { Assumption } from "./check/assumption";
export { checkPlan, type WiringCheck } from "./check/check";
export type { CheckCode, CheckFinding } from "./check/finding";
export type { MotorToRun, StateOutcome } from "./check/outcome";
export { checkRetrofit } from "./check/retrofit";
export {
  type Compartment,
  type Contact,
  compartment,
  type Device,
  placeName,
  type Terminal,
  terminalOf,
} from "./compartment";
export { DEVICE_LIBRARY, type LibraryDevice } from "./deviceLibrary";
export { type DrawnWire, type WiringDrawing, wiringDrawing } from "./drawing";
export type { DrawnDevice, DrawnSymbol } from "./drawnDevices";
export { emptied } from "./emptied";
export { COMPARTMENTS, compartmentById } from "./equipment";
export { HARNESS, harnessName } from "./harness";
export { tapName } from "./landing";
export { boardAsSet, boardPlaces, netsOfSetting, type VoltageChange, voltageChange } from "./motorBoard";
export { type OldLanding, type OldLeadReading, readOldLeads } from "./oldLeads";
export { CAPPED, isJoint, jointPlace, type Place, readPlace } from "./place";
export {
  FRAME,
  type HandChanges,
  type Jumper,
  type ModulePlan,
  type MotorPlan,
  NO_CHANGES,
  type PlanStep,
  turnOfPlan,
  type WiringPlan,
  withChanges,
} from "./plan";
export { planWiring } from "./planWiring";
export { planRetrofit, type RetrofitModule } from "./retrofit";
export { settingByOhms } from "./settingByOhms";
export { type SettingWord, settingFor } from "./settingFor";
export { speedCalls } from "./speedCalls";
export { type SpeedForecast, speedForecast } from "./speedForecast";
export { speedsOf } from "./speedsOf";
export { type EquipmentState, guardedStatesOf, statesOf } from "./stateCircuit";
export { capacitorStepId, planSteps, stepTick } from "./steps";
export { type SupplySystem, supplySystem } from "./supplySystem";
export { symbolPath } from "./symbolPath";
export { type ScreenRun, type Tried, tried, triedQuestion } from "./tried";
export { AS_PLANNED, isChanged, type TriedChange, withChange } from "./triedChange";
export { HELD, type Move } from "./voltageMoves";
export type { CurvePoint } from "./whatIf";
