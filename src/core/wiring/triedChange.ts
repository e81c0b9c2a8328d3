import type { MotorPlan } from "./plan";

/** What is changed on a planned circuit to see what becomes of it. */
export interface TriedChange {
  /** Two leads to be landed each in the other's place; both "" where none are. */
  readonly swap: readonly [string, string];
  /** What the run capacitor's value is multiplied by; 0 takes it out. */
  readonly capacitorTimes: number;
  /** The motor's plug for rotation is turned over. */
  readonly plugOver: boolean;
}

/** Nothing is changed. */
export const AS_PLANNED: TriedChange = { swap: ["", ""], capacitorTimes: 1, plugOver: false };

/** Whether anything is changed at all. */
export function isChanged({ swap: [one, other], capacitorTimes, plugOver }: TriedChange): boolean {
  return isSwap(one, other) || capacitorTimes !== 1 || plugOver;
}

/** The plan with the change made; the same plan where its wires and capacitors are left as they are. */
export function withChange(plan: MotorPlan, { swap: [one, other], capacitorTimes }: TriedChange): MotorPlan {
  const { landings } = plan;
  const swapped = isSwap(one, other)
    ? { ...plan, landings: { ...landings, [one]: landings[other] ?? "", [other]: landings[one] ?? "" } }
    : plan;
  return capacitorTimes === 1 ? swapped : withCapacitor(swapped, capacitorTimes);
}

function isSwap(one: string, other: string): boolean {
  return one !== "" && other !== "" && one !== other;
}

function withCapacitor(plan: MotorPlan, times: number): MotorPlan {
  const devices = plan.compartment.devices.map((device) => ({
    ...device,
    parts: device.parts.flatMap((part) => {
      if (part.kind !== "capacitor" || part.start) return [part];
      return times === 0 ? [] : [{ ...part, microfarads: part.microfarads * times }];
    }),
  }));
  return { ...plan, compartment: { ...plan.compartment, devices } };
}
