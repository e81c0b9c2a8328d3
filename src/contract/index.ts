/** The door of the contract: every route by its name, and the forms of what goes over the wire. */

export { openApi } from "./openApi";
export { type ProblemDetails, problemDetails } from "./problem";
export { isMedia, type Media, type Method, type Route } from "./route";
export { describeApi, health } from "./routes/about";
export { diagnoseMotor } from "./routes/diagnose";
export { deleteEquipment, listEquipment, putEquipment } from "./routes/equipment";
export { identifyLeads } from "./routes/identify";
export {
  addFacts,
  type FactsSince,
  factsOfJob,
  factsSince,
  getPhoto,
  type JobLine,
  type JobQuery,
  jobLine,
  listJobs,
  listUnits,
  putPhoto,
  type UnitLine,
  visitsOfUnit,
} from "./routes/jobs";
export { askMetBefore, type MetMotor } from "./routes/metBefore";
export {
  attachMeter,
  detachMeter,
  type MeterAddress,
  meterAddress,
  meterValue,
  moveProbes,
  streamMeter,
} from "./routes/meter";
export {
  type FaultLine,
  faultResults,
  handInFault,
  handInMotor,
  handInWiring,
  type PracticeLine,
  practiceResults,
  type WiringLine,
  wiringResults,
} from "./routes/practice";
export {
  deleteStock,
  dropImport,
  exportStock,
  importStock,
  listStock,
  matchStock,
  putStock,
  STOCK_SORTS,
  type StockLine,
  type StockMatches,
  type StockQuery,
  type StockSort,
  stockUses,
  truckNeeds,
} from "./routes/stock";
export { type ServerHistory, serverHistory } from "./serverHistory";
