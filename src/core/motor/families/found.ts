import type { Family } from "../family";
import { dualVoltageSinglePhase } from "./dualVoltageSinglePhase";
import { electronic } from "./electronic";
import { oneWinding } from "./oneWinding";
import { splitWindings } from "./splitWindings";
import { threePhase3 } from "./threePhase3";
import { threePhase6 } from "./threePhase6";
import { threePhase9Delta } from "./threePhase9Delta";
import { threePhase9Wye } from "./threePhase9Wye";
import { threePhase12 } from "./threePhase12";
import { twoSpeedTwoMain } from "./twoSpeedTwoMain";
import { twoWinding } from "./twoWinding";
import { twoWindingReversible } from "./twoWindingReversible";
import { twoWindingStartPair } from "./twoWindingStartPair";

/** Every family in this folder. Written by `npm run generate`. */
export const FOUND: readonly Family[] = [
  dualVoltageSinglePhase,
  electronic,
  oneWinding,
  splitWindings,
  threePhase3,
  threePhase6,
  threePhase9Delta,
  threePhase9Wye,
  threePhase12,
  twoSpeedTwoMain,
  twoWinding,
  twoWindingReversible,
  twoWindingStartPair,
];
