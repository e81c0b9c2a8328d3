import type { Compartment } from "../compartment";
import { condenserDual, condenserDualOnePole } from "./condenserDual";
import { condenserSingle } from "./condenserSingle";
import { electronicBoard, electronicStrip } from "./electronicBoards";
import { furnaceBoard, furnaceBoardTwoStage } from "./furnaceBoards";
import {
  centrifugalSwitch,
  pumpFloatSwitch,
  pumpPressureSwitch,
  startCapacitorRelay,
  submersibleBox,
} from "./pumps";
import { airHandlerRelay, benchCord, reversingSwitch, twoSpeedSwitch } from "./switches";
import { threePhaseContactor, threePhaseStarter } from "./threePhase";

/** The library: compartments ready-made, each to be copied into a job and edited there. */
export const COMPARTMENTS: readonly Compartment[] = [
  condenserDual,
  condenserDualOnePole,
  condenserSingle,
  furnaceBoard,
  furnaceBoardTwoStage,
  airHandlerRelay,
  benchCord,
  pumpPressureSwitch,
  pumpFloatSwitch,
  centrifugalSwitch,
  startCapacitorRelay,
  submersibleBox,
  twoSpeedSwitch,
  reversingSwitch,
  threePhaseContactor,
  threePhaseStarter,
  electronicBoard,
  electronicStrip,
];

/** The ready-made compartment of this id; undefined when the library has none. */
export function compartmentById(id: string): Compartment | undefined {
  return COMPARTMENTS.find((made) => made.id === id);
}
