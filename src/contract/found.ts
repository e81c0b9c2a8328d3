import { describeApi, health } from "./routes/about";
import { diagnoseMotor } from "./routes/diagnose";
import { deleteEquipment, listEquipment, putEquipment } from "./routes/equipment";
import { identifyLeads } from "./routes/identify";
import { addFacts, factsOfJob, getPhoto, listJobs, listUnits, putPhoto, visitsOfUnit } from "./routes/jobs";
import { askMetBefore } from "./routes/metBefore";
import { attachMeter, detachMeter, moveProbes, streamMeter } from "./routes/meter";
import {
  faultResults,
  handInFault,
  handInMotor,
  handInWiring,
  practiceResults,
  wiringResults,
} from "./routes/practice";
import {
  deleteStock,
  dropImport,
  exportStock,
  importStock,
  listStock,
  matchStock,
  putStock,
  stockUses,
  truckNeeds,
} from "./routes/stock";

/** Every route in the folder `routes`. Written by `npm run generate`. */
export const ROUTES = [
  health,
  describeApi,
  diagnoseMotor,
  listEquipment,
  putEquipment,
  deleteEquipment,
  identifyLeads,
  listJobs,
  listUnits,
  visitsOfUnit,
  factsOfJob,
  addFacts,
  getPhoto,
  putPhoto,
  askMetBefore,
  attachMeter,
  detachMeter,
  moveProbes,
  streamMeter,
  practiceResults,
  handInMotor,
  wiringResults,
  handInWiring,
  faultResults,
  handInFault,
  listStock,
  exportStock,
  stockUses,
  putStock,
  deleteStock,
  importStock,
  dropImport,
  matchStock,
  truckNeeds,
] as const;
