import type { Equipment } from "../equipmentEntry";
import { airHandlerRelay } from "./airHandlerRelay";
import { benchCord } from "./benchCord";
import { centrifugalSwitch } from "./centrifugalSwitch";
import { condenserDual } from "./condenserDual";
import { condenserDualOnePole } from "./condenserDualOnePole";
import { condenserSingle } from "./condenserSingle";
import { electronicBoard } from "./electronicBoard";
import { electronicStrip } from "./electronicStrip";
import { furnaceBoard } from "./furnaceBoard";
import { furnaceBoardTwoStage } from "./furnaceBoardTwoStage";
import { pumpFloatSwitch } from "./pumpFloatSwitch";
import { pumpPressureSwitch } from "./pumpPressureSwitch";
import { reversingSwitch } from "./reversingSwitch";
import { startCapacitorRelay } from "./startCapacitorRelay";
import { submersibleBox } from "./submersibleBox";
import { threePhaseContactor } from "./threePhaseContactor";
import { threePhaseStarter } from "./threePhaseStarter";
import { twoSpeedSwitch } from "./twoSpeedSwitch";

/** Every equipment in this folder. Written by `npm run generate`. */
export const FOUND: readonly Equipment[] = [
  airHandlerRelay,
  benchCord,
  centrifugalSwitch,
  condenserDual,
  condenserDualOnePole,
  condenserSingle,
  electronicBoard,
  electronicStrip,
  furnaceBoard,
  furnaceBoardTwoStage,
  pumpFloatSwitch,
  pumpPressureSwitch,
  reversingSwitch,
  startCapacitorRelay,
  submersibleBox,
  threePhaseContactor,
  threePhaseStarter,
  twoSpeedSwitch,
];
