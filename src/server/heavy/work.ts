import type { ReadSoFar } from "@/core";
import { identify, opening } from "@/core";
import {
  type FaultHandedIn,
  faultTask,
  grade,
  gradeFault,
  gradeWiring,
  type WiringHandedIn,
  wiringTask,
} from "@/core/practice";
import { diagnose } from "@/core/proving";
import type { MatchRequest } from "@/core/stock";
import { database } from "../database";
import { keepStatus } from "../jobSummaries";
import { motorsMetBefore } from "../metBefore";
import { pastNeeds } from "../pastNeeds";
import { rankStock } from "../rankStock";
import { stockStore } from "../stockStore";

/** A practice fault graded, with what the list of results says of its task. */
function gradedFault(handedIn: FaultHandedIn) {
  const { wiring, complaint } = faultTask(handedIn.seed, handedIn.wish);
  return { grade: gradeFault(handedIn), about: { equipment: wiring.compartment.title, complaint } };
}

/** A practice wiring graded, with the equipment that its task is of. */
function gradedWiring(handedIn: WiringHandedIn) {
  const { compartment } = wiringTask(handedIn.seed, handedIn.wish);
  return { grade: gradeWiring(handedIn), equipment: compartment.title };
}

const MOST_JOBS_COVERED = 3000;

/** What the latest jobs asked for, and every part of the stock. */
async function truckNeeds(shop: string) {
  const [needs, lines] = await Promise.all([
    pastNeeds(database(), shop, MOST_JOBS_COVERED),
    stockStore(database(), shop).all(),
  ]);
  return { needs, items: lines.map(({ item, onHand }) => ({ ...item, count: onHand })) };
}

/** What takes the processor longer than a request may hold the server: worked out in threads of its own. */
export const works = {
  identify,
  opening,
  diagnose,
  grade,
  gradedFault,
  gradedWiring,
  metBefore: (shop: string, read: ReadSoFar, but: string | undefined) =>
    motorsMetBefore(database(), shop, read, but),
  keepStatus: (shop: string, job: string) => keepStatus(database(), shop, job),
  truckNeeds,
  rankStock: (shop: string, asked: MatchRequest) => rankStock(database(), shop, asked),
};

export type Works = typeof works;
