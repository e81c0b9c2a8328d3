import { z } from "zod";
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
import { pairReadingFact } from "./kinds/pairReading";
import { photoFact } from "./kinds/photo";
import { photoGoneFact } from "./kinds/photoGone";
import { pinFact } from "./kinds/pin";
import { pinGoneFact } from "./kinds/pinGone";
import { placeFact } from "./kinds/place";
import { plateFact } from "./kinds/plate";
import { readyFact } from "./kinds/ready";
import { referenceFact } from "./kinds/reference";
import { setInsideFact } from "./kinds/setInside";
import { shellReadingFact } from "./kinds/shellReading";
import { tickFact } from "./kinds/tick";
import { titleFact } from "./kinds/title";
import { toldFact } from "./kinds/told";
import { undoneFact } from "./kinds/undone";
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
  pairReadingFact,
  photoFact,
  photoGoneFact,
  pinFact,
  pinGoneFact,
  placeFact,
  plateFact,
  readyFact,
  referenceFact,
  setInsideFact,
  shellReadingFact,
  tickFact,
  titleFact,
  toldFact,
  undoneFact,
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
  pairReadingFact.schema,
  photoFact.schema,
  photoGoneFact.schema,
  pinFact.schema,
  pinGoneFact.schema,
  placeFact.schema,
  plateFact.schema,
  readyFact.schema,
  referenceFact.schema,
  setInsideFact.schema,
  shellReadingFact.schema,
  tickFact.schema,
  titleFact.schema,
  toldFact.schema,
  undoneFact.schema,
  usedFact.schema,
  wireAddedFact.schema,
  wireOffFact.schema,
  wiringWishFact.schema,
]);
