import * as z from "zod/mini";
import { askFact } from "./kinds/ask";
import { asPlannedFact } from "./kinds/asPlanned";
import { boardNowFact } from "./kinds/boardNow";
import { capacitorFact } from "./kinds/capacitor";
import { capacitorTestFact } from "./kinds/capacitorTest";
import { chosenFact } from "./kinds/chosen";
import { compartmentFact } from "./kinds/compartment";
import { conditionsFact } from "./kinds/conditions";
import { coolingFact } from "./kinds/cooling";
import { insulationFact } from "./kinds/insulation";
import { kickFact } from "./kinds/kick";
import { kicksAnewFact } from "./kinds/kicksAnew";
import { labelFact } from "./kinds/label";
import { landingFact } from "./kinds/landing";
import { leadFact } from "./kinds/lead";
import { leadGoneFact } from "./kinds/leadGone";
import { meterFact } from "./kinds/meter";
import { movedFact } from "./kinds/moved";
import { observedFact } from "./kinds/observed";
import { observedGoneFact } from "./kinds/observedGone";
import { oldLeadFact } from "./kinds/oldLead";
import { oldLeadGoneFact } from "./kinds/oldLeadGone";
import { onBenchFact } from "./kinds/onBench";
import { pairReadingFact } from "./kinds/pairReading";
import { photoFact } from "./kinds/photo";
import { photoGoneFact } from "./kinds/photoGone";
import { pinFact } from "./kinds/pin";
import { pinGoneFact } from "./kinds/pinGone";
import { placeFact } from "./kinds/place";
import { plateFact } from "./kinds/plate";
import { powerFact } from "./kinds/power";
import { proofMendedFact } from "./kinds/proofMended";
import { proofSeenFact } from "./kinds/proofSeen";
import { proofSignedFact } from "./kinds/proofSigned";
import { readyFact } from "./kinds/ready";
import { referenceFact } from "./kinds/reference";
import { safeStepFact } from "./kinds/safeStep";
import { sealedFact } from "./kinds/sealed";
import { setInsideFact } from "./kinds/setInside";
import { shellReadingFact } from "./kinds/shellReading";
import { shelvedFact } from "./kinds/shelved";
import { supplySeenFact } from "./kinds/supplySeen";
import { tickFact } from "./kinds/tick";
import { titleFact } from "./kinds/title";
import { toldFact } from "./kinds/told";
import { turnsFact } from "./kinds/turns";
import { undoneFact } from "./kinds/undone";
import { unitFact } from "./kinds/unit";
import { usedFact } from "./kinds/used";
import { wireAddedFact } from "./kinds/wireAdded";
import { wireOffFact } from "./kinds/wireOff";
import { wiringWishFact } from "./kinds/wiringWish";

/** Every kind of fact in the folder `kinds`. Written by `npm run generate`. */
export const FACT_KINDS = [
  askFact,
  asPlannedFact,
  boardNowFact,
  capacitorFact,
  capacitorTestFact,
  chosenFact,
  compartmentFact,
  conditionsFact,
  coolingFact,
  insulationFact,
  kickFact,
  kicksAnewFact,
  labelFact,
  landingFact,
  leadFact,
  leadGoneFact,
  meterFact,
  movedFact,
  observedFact,
  observedGoneFact,
  oldLeadFact,
  oldLeadGoneFact,
  onBenchFact,
  pairReadingFact,
  photoFact,
  photoGoneFact,
  pinFact,
  pinGoneFact,
  placeFact,
  plateFact,
  powerFact,
  proofMendedFact,
  proofSeenFact,
  proofSignedFact,
  readyFact,
  referenceFact,
  safeStepFact,
  sealedFact,
  setInsideFact,
  shellReadingFact,
  shelvedFact,
  supplySeenFact,
  tickFact,
  titleFact,
  toldFact,
  turnsFact,
  undoneFact,
  unitFact,
  usedFact,
  wireAddedFact,
  wireOffFact,
  wiringWishFact,
] as const;

/** What a fact says, by its kind. */
export const FACT_BODY = z.discriminatedUnion("kind", [
  askFact.schema,
  asPlannedFact.schema,
  boardNowFact.schema,
  capacitorFact.schema,
  capacitorTestFact.schema,
  chosenFact.schema,
  compartmentFact.schema,
  conditionsFact.schema,
  coolingFact.schema,
  insulationFact.schema,
  kickFact.schema,
  kicksAnewFact.schema,
  labelFact.schema,
  landingFact.schema,
  leadFact.schema,
  leadGoneFact.schema,
  meterFact.schema,
  movedFact.schema,
  observedFact.schema,
  observedGoneFact.schema,
  oldLeadFact.schema,
  oldLeadGoneFact.schema,
  onBenchFact.schema,
  pairReadingFact.schema,
  photoFact.schema,
  photoGoneFact.schema,
  pinFact.schema,
  pinGoneFact.schema,
  placeFact.schema,
  plateFact.schema,
  powerFact.schema,
  proofMendedFact.schema,
  proofSeenFact.schema,
  proofSignedFact.schema,
  readyFact.schema,
  referenceFact.schema,
  safeStepFact.schema,
  sealedFact.schema,
  setInsideFact.schema,
  shellReadingFact.schema,
  shelvedFact.schema,
  supplySeenFact.schema,
  tickFact.schema,
  titleFact.schema,
  toldFact.schema,
  turnsFact.schema,
  undoneFact.schema,
  unitFact.schema,
  usedFact.schema,
  wireAddedFact.schema,
  wireOffFact.schema,
  wiringWishFact.schema,
]);
