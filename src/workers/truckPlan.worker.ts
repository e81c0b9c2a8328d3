import { planTruck, type TruckPart } from "@/core/replacement";
import { candidateOf, shelfPartOf } from "@/core/stock";
import type { TruckAnswer, TruckRequest } from "./truckPlan";

/** Searches for the truck plan away from the page, telling how far it is. */

const REPORT_MS = 100;
const say = (answer: TruckAnswer) => self.postMessage(answer);

self.onmessage = ({ data }: MessageEvent<TruckRequest>) => {
  const parts = data.items.flatMap((item): TruckPart[] => {
    if (item.kind === "motor") return [{ kind: "motor", candidate: candidateOf(item) }];
    const part = shelfPartOf(item);
    return part ? [{ kind: "capacitor", part, ...(item.cost === null ? {} : { cost: item.cost }) }] : [];
  });
  const search = planTruck(data.needs, parts, data.share, data.objective);
  let told = 0;
  for (;;) {
    const step = search.next();
    if (step.done) return say({ answer: "plan", plan: step.value });
    const now = performance.now();
    if (now - told > REPORT_MS) {
      told = now;
      say({ answer: "progress", progress: step.value });
    }
  }
};
