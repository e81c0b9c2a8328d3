/** The door of the virtual bench: random motors and simulated instruments, for tests, demo data and practice. */

export { connectedGroups } from "../motor/connectedGroups";
export type { Network } from "../motor/network";
export { BENCH_FAULTS } from "./benchFaults";
export { type BuiltMotor, builtMotor } from "./builtMotor";
export { drawnFault } from "./drawnFault";
export {
  aboutOf,
  meterFor,
  openLead,
  openSection,
  type PairReading,
  shortedTurns,
  slipOf,
} from "./faultyMotor";
export {
  type InsulationShown,
  type InsulationTester,
  insulationTester,
  type ShellLeak,
} from "./insulationTester";
export { type LedProof, ledProof, type Outcome, outcomeOf } from "./ledProof";
export { type Ohmmeter, ohmmeter } from "./ohmmeter";
export { type PlatedMotor, platedMotor } from "./platedMotor";
export { poweredBench } from "./poweredBench";
export type { PoweredFault } from "./poweredFault";
export { type PoweredMachine, poweredMachine } from "./poweredMachine";
export { gaussian, logUniform, pick, type Random, seededRandom, shuffled } from "./random";
export { motorForLeads, randomMotor, type VirtualMotor } from "./randomMotor";
export { attackRetrofit, retrofitPlan } from "./retrofitAttack";
export type { ScpiInstrument } from "./scpiLine";
export { scpiMeter, shownOf } from "./scpiMeter";
export { callLine, configureLine, eyeLine, figureOf, placeLine, scpiPowered } from "./scpiPowered";
export { ATTACKED_KINDS, attack, goodPlans } from "./wiringAttack";
