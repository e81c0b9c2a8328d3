/** The door of the proof: expected figures, causes, the next check. */

export {
  CFM_PER_TON,
  cubicFeetAMinute,
  densityRatio,
  type SpeedForecastByAir,
  speedsByRise,
} from "./airflow";
export { namedCapacitors } from "./capacitorNames";
export { type CircuitCapacitor, capacitorsInCircuit } from "./capacitorsInCircuit";
export { CAUSES, type Cause } from "./causes";
export { CHECK_UP, CONTROL_PAIR, checkUp } from "./checkUp";
export { diagnose } from "./diagnose";
export {
  type Diagnosis,
  diagnosis,
  type Expectation,
  type NextCheck,
  nextCheck,
  type ProvingLine,
  type RankedCause,
} from "./diagnosis";
export { INSTRUMENT_KINDS, type InstrumentKind, instrumentFor } from "./instrumentFor";
export { stopAmps } from "./limits";
export {
  AIRS,
  needsPower,
  observation,
  PRESSURE_WORDS,
  type ProvingObservation,
  SIGNS,
  STARTS,
} from "./observation";
export { type ProvingSheet, type ProvingSheetInput, provingSheet } from "./provingSheet";
export { DEAD_VOLTS, type SafeStep, safeSteps } from "./safeSteps";
