/** The door of the core: everything the rest of the house may use. */

export { ASKS, type Ask } from "./identify/ask";
export { COOLING_MINUTES } from "./identify/coolingMinutes";
export { expectedOhms } from "./identify/expectedOhms";
export { type Finding, type Identification, identification, type NextProbe } from "./identify/identification";
export { identify } from "./identify/identify";
export type { Observation } from "./identify/observation";
export { SETTLED } from "./identify/settled";
export { type ReadingSheetInput, readingSheet } from "./identify/sheet";
export { type TieQuestion, tieQuestions } from "./identify/tieQuestions";
export {
  COLOUR_LETTERS,
  COLOUR_WORD,
  type ColourLetters,
  colourLetters,
  couldBe,
  type Insulation,
  parseInsulation,
} from "./motor/colour";
export { FAMILY_IDS, familyById } from "./motor/families";
export {
  INSULATION_PAINT,
  type LikelyColour,
  likelyColours,
  patchColour,
  type Rgb,
} from "./motor/insulationPaint";
export { labelWord } from "./motor/labelWord";
export { LEAD_LIMITS, type Lead, type LeadName, leadNames } from "./motor/lead";
export { type LeadEntry, parseLeadEntry } from "./motor/leadEntry";
export * from "./motor/plate";
export { placeAlongWinding, type Role } from "./motor/role";
export { isHiddenEnd } from "./motor/sectionEnd";
export { type WindingPicture, windingPicture } from "./motor/windingPicture";
export { type CableRun, cableOhmsEachWay, OHMS_PER_1000_FT, type WireGauge } from "./ohms/cable";
export { parseCable } from "./ohms/cableEntry";
export { askedAt, type Catching, caught, type MeterEvent } from "./ohms/handsFree";
export { comparableMegohms, type InsulationVerdict, judgeInsulation } from "./ohms/insulation";
export { type Meter, USUAL_METER } from "./ohms/readingError";
export {
  compareWithReference,
  type MeasuredOhms,
  type ReferenceOhms,
  type ReferenceVerdict,
  USUAL_TOLERANCE_PERCENT,
} from "./ohms/reference";
export { settledValue } from "./ohms/settledValue";
export { type Conductor, ohmsAtTemperature, temperatureOfOhms } from "./ohms/windingTemperature";
export { type CapacitorLabel, formatCapacitor, parseCapacitor } from "./quantity/capacitance";
export { type Fault, faultsOf, type Refused } from "./quantity/fault";
export { formatLength, parseLength } from "./quantity/length";
export { parseMegohms } from "./quantity/megohms";
export { parseNumber } from "./quantity/number";
export { formatOhms, type OhmsShown, ohmsDigits, parseOhms } from "./quantity/ohms";
export { formatPower } from "./quantity/power";
export { formatPressure, parsePressure, parsePressureSwitch } from "./quantity/pressure";
export { formatRotation, type Rotation } from "./quantity/rotation";
export { foldedWords, searchable, searchableParts } from "./quantity/searchable";
export { type Source, sourceWords } from "./quantity/source";
export { celsiusOfFahrenheit, parseTemperature } from "./quantity/temperature";
export type { Weight } from "./quantity/weight";
export { type Checked, checked } from "./record/checked";
export {
  comparison,
  type EarlierSheet,
  motorOhms,
  referenceFromEarlier,
  USUAL_REFERENCE_C,
} from "./record/comparison";
export { canonicalJson, digestOf, digestOfBytes } from "./record/digest";
export {
  type BoardNow,
  type CapacitorChoice,
  type CapacitorTest,
  type ChosenMotor,
  type Conditions,
  type Fact,
  type FactBody,
  fact,
  factUpload,
  type InsulationTest,
  type KickSeen,
  type LabelText,
  type MachinePlace,
  MOST_FACTS_A_WRITE,
  type OldLead,
  type Photo,
  type Pin,
  type ProbeAbout,
  type Reference,
  readFact,
  type SetInside,
  upgradedFact,
  type WiringWish,
} from "./record/facts";
export {
  type Fingerprint,
  fingerprint,
  fingerprintOf,
  pairAt,
  stepsNear,
  stepsOf,
  UNKNOWN_OHMS,
} from "./record/fingerprint";
export { identified } from "./record/identified";
export {
  cableOhmsEachWayOf,
  deriveJob,
  foreseenJob,
  type Job,
  type KeptPairReading,
  type KeptShellReading,
  pairKey,
  sheetOf,
} from "./record/job";
export type {
  KeptCapacitorTest,
  KeptInsulationTest,
  KeptObservation,
  ProofRound,
  SafeStepDone,
  UsedPart,
} from "./record/jobDraft";
export { type FilePhoto, type JobFile, jobFile, jobFileOf, jobFileText, readJobFile } from "./record/jobFile";
export { jobFollower } from "./record/jobFollower";
export { type JobSheet, jobSheet, type SheetPart } from "./record/jobSheet";
export {
  type JobSummary,
  jobHeading,
  jobSummary,
  searchedWords,
  summaryOf,
} from "./record/jobSummary";
export { type JobWiring, jobWiring } from "./record/jobWiring";
export { A6_MM, LABEL_MM, type LabelContent, layoutLabel, STRIP_MM, stripWords } from "./record/label";
export { labelContent } from "./record/labelContent";
export {
  FEWEST_READINGS as FINGERPRINT_READINGS,
  type MetBefore,
  metBefore,
} from "./record/metBefore";
export { type Unit, unit, type VisitedUnit, visitedUnit } from "./record/nouns/unit";
export { type Opening, opening, type Worked } from "./record/opening";
export { type PastedReadings, parsePastedReadings } from "./record/pastedReadings";
export type { ReadSoFar } from "./record/placing";
export { plateOf } from "./record/plateOf";
export { hasNewMotor, withOldLabel } from "./record/presentCapacitor";
export { type ProbedAbout, probedAbout } from "./record/probedAbout";
export { provingSheetOf, turnedBy } from "./record/provingSheetOf";
export {
  identifyQuestion,
  type KnownAnswer,
  rehearsalQuestion,
  type WiringFactsOfJob,
  wiringFactsOf,
  wiringQuestion,
} from "./record/questions";
export { readingsCsv } from "./record/readingsCsv";
export { rehearsal } from "./record/rehearsal";
export { MOST_SEALED, type SealState, sealOf, sealState } from "./record/seal";
export { stockFingerprint } from "./record/stockFingerprint";
export {
  HISTORY_C,
  type HistoryPoint,
  type HistorySeries,
  type UnitHistory,
  unitHistory,
  type Visit,
} from "./record/unitHistory";
export { wired } from "./record/wired";
export { type StockItem, stockItem } from "./stock/item";
export { CORE_VERSION } from "./version";
