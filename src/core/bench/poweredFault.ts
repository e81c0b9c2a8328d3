import type { Branch } from "../machine/circuit";
import type { Complex } from "../machine/complex";
import { GROUND } from "../machine/joinedCircuit";
import type { Cause } from "../proving/causes";
import { CAPPED } from "../wiring/place";
import type { MotorPlan } from "../wiring/plan";

/** What is the matter with a virtual machine, and how much of it. */
export interface PoweredFault {
  readonly cause: Exclude<Cause, "unknown">;
  readonly at: readonly string[];
  /** Of the cause: microfarads, times the load, a share; 0 where there is no degree. */
  readonly degree: number;
}

/** A capacitor as a technician calls it, with the branch that it is. */
export interface BranchCapacitor {
  readonly at: string;
  readonly id: string;
  readonly microfarads: number;
}

/** Faults of the wires: leads where they do not belong. */
export function wiredWith(plan: MotorPlan, { cause, at }: PoweredFault): MotorPlan {
  const [one = "", other = ""] = at;
  const { landings } = plan;
  const land = (changes: Record<string, string>): MotorPlan => ({
    ...plan,
    landings: { ...landings, ...changes },
  });
  switch (cause) {
    case "leads-exchanged":
    case "wrong-tap":
      return land({ [one]: landings[other] ?? CAPPED, [other]: landings[one] ?? CAPPED });
    case "lead-off":
      return land({ [one]: CAPPED });
    case "wrong-terminal":
      return land({ [one]: other });
    default:
      return plan;
  }
}

/** Faults of parts, windings and supply: on the branches. */
export function injected(
  branches: readonly Branch[],
  fault: PoweredFault,
  capacitors: readonly BranchCapacitor[],
): Branch[] {
  const [at = "", other = ""] = fault.at;
  const idOf = (name: string) => capacitors.find((one) => one.at === name)?.id ?? name;
  const without = (gone: (id: string) => boolean) => branches.filter(({ id }) => !gone(id));
  const capacity = (values: Readonly<Record<string, number>>) =>
    branches.map((branch): Branch => {
      const value = values[branch.id];
      return branch.kind === "capacitor" && value !== undefined ? { ...branch, microfarads: value } : branch;
    });
  switch (fault.cause) {
    case "capacitor-missing":
    case "capacitor-open":
      return without((id) => id === idOf(at));
    case "capacitor-shorted":
      return branches.map(
        (branch): Branch =>
          branch.id === idOf(at)
            ? { kind: "resistor", id: branch.id, from: branch.from, to: branch.to, ohms: 0.5 }
            : branch,
      );
    case "capacitor-weak":
    case "capacitor-wrong":
      return capacity({ [idOf(at)]: fault.degree });
    case "capacitor-halves-exchanged": {
      const value = (name: string) => capacitors.find((one) => one.at === name)?.microfarads ?? 1;
      return capacity({ [idOf(at)]: value(other), [idOf(other)]: value(at) });
    }
    case "start-winding-open":
    case "main-half-open":
      return without((id) => fault.at.includes(id.split("~")[0] ?? id));
    case "shorted-turns":
      return branches.flatMap((branch): Branch[] => {
        if (branch.id !== at || branch.kind !== "winding") return [branch];
        const part = (share: number) => ({
          ...branch,
          ohms: branch.ohms * share,
          leakageOhms: branch.leakageOhms * share ** 2,
          place: { ...branch.place, turns: branch.place.turns * share },
        });
        return [
          part(1 - fault.degree),
          { ...part(fault.degree), id: `${at}~loop`, from: GROUND, to: GROUND },
        ];
      });
    case "supply-low":
    case "supply-high":
      return branches.map((branch) =>
        branch.kind === "source" ? { ...branch, volts: timesComplex(branch.volts, fault.degree) } : branch,
      );
    case "volts-unbalanced":
      return branches.map((branch) =>
        branch.kind === "source" && branch.id === `supply:${at}`
          ? { ...branch, volts: timesComplex(branch.volts, fault.degree) }
          : branch,
      );
    case "phase-lost":
      return without((id) => id === `supply:${at}`);
    default:
      return [...branches];
  }
}

/** Start contacts that are held, closed or open. */
export function withContacts(branches: readonly Branch[], { cause }: PoweredFault): Branch[] {
  const coils = new Set(branches.map(({ id }) => id).filter((id) => id.endsWith("-coil")));
  return branches.map((branch) =>
    branch.kind === "switch" && (branch.id.endsWith("-switch") || coils.has(`${branch.id}-coil`))
      ? { ...branch, closed: cause === "start-contact-stays-closed" }
      : branch,
  );
}

export function timesComplex({ re, im }: Complex, times: number): Complex {
  return { re: re * times, im: im * times };
}
