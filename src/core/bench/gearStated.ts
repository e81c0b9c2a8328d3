import type { MotorPlan } from "../wiring/plan";

/** The plan as it is once somebody has read the labels of its start gear and found there what the motor needs. */
export function withGearStated(plan: MotorPlan): MotorPlan {
  const devices = plan.compartment.devices.map((device) => ({
    ...device,
    parts: device.parts.map((part) =>
      part.kind === "potential-relay" || (part.kind === "capacitor" && part.start)
        ? { ...part, stated: "label" as const }
        : part,
    ),
  }));
  return { ...plan, compartment: { ...plan.compartment, devices } };
}
