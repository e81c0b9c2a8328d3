import { isTap } from "../motor/slot";
import type { Cause } from "../proving/causes";
import { CAPPED } from "../wiring/place";
import type { PoweredFault } from "./poweredFault";
import type { Powered } from "./poweredRun";
import { pick } from "./random";

/** One fault of a cause on a machine, drawn at random; null where this machine cannot have it. */
export function drawnFault(
  { plan, built, random, capacitors }: Powered,
  cause: Exclude<Cause, "unknown">,
  serving: readonly string[],
): PoweredFault | null {
  const { motor, truth } = built;
  const landed = motor.leads.filter(({ id }) => (plan.landings[id] ?? CAPPED) !== CAPPED).map(({ id }) => id);
  const fault = (at: readonly string[], degree = 0): PoweredFault => ({ cause, at, degree });
  const capacitor = capacitors.filter(({ at }) => serving.includes(at));
  const mains = motor.coils.filter(({ winding }) => winding !== "start");
  const { terminals, kind } = plan.compartment.supply;
  switch (cause) {
    case "as-planned":
      return fault([]);
    case "leads-exchanged":
    case "wrong-tap": {
      const onTap = (id: string) => isTap(motor.leads.find((lead) => lead.id === id)?.slot ?? "");
      const pairs = motor.leads.flatMap(({ id: one }, i) =>
        motor.leads
          .slice(i + 1)
          .filter(({ id: other }) => plan.landings[one] !== plan.landings[other])
          .filter(({ id: other }) => (onTap(one) && onTap(other)) === (cause === "wrong-tap"))
          .map(({ id: other }) => [one, other]),
      );
      return pairs.length > 0 ? fault(pick(random, pairs)) : null;
    }
    case "lead-off":
      return landed.length > 0 ? fault([pick(random, landed)]) : null;
    case "wrong-terminal": {
      const lead = pick(random, landed);
      const device = plan.compartment.devices.find((one) =>
        one.terminals.some(({ id }) => id === plan.landings[lead]),
      );
      const at = device?.terminals.findIndex(({ id }) => id === plan.landings[lead]) ?? -1;
      const beside = [at - 1, at + 1].flatMap((i) => device?.terminals[i]?.id ?? []);
      return beside.length > 0 ? fault([lead, pick(random, beside)]) : null;
    }
    case "capacitor-missing":
    case "capacitor-open":
    case "capacitor-shorted":
      return capacitor.length > 0 ? fault([pick(random, capacitor).at]) : null;
    case "capacitor-weak":
    case "capacitor-wrong": {
      if (capacitor.length === 0) return null;
      const one = pick(random, capacitor);
      const times =
        cause === "capacitor-weak" ? 0.2 + 0.65 * random() : pick(random, [1.4, 1.6, 2, 2.5, 3.5]);
      return fault([one.at], one.microfarads * times);
    }
    case "capacitor-halves-exchanged":
      return capacitors.some(({ at }) => at === "herm") ? fault(["fan", "herm"]) : null;
    case "start-winding-open": {
      const start = motor.coils.filter(({ winding }) => winding === "start").map(({ id }) => id);
      return start.length > 0 ? fault(start) : null;
    }
    case "main-half-open":
      return fault([pick(random, mains).id]);
    case "start-contact-stays-open":
    case "start-contact-stays-closed": {
      const geared =
        (plan.lands.startOut === "motor" &&
          truth.gear.shaftSwitch &&
          motor.coils.some(({ winding }) => winding === "start")) ||
        (plan.lands.startOut === "equipment" &&
          plan.compartment.devices.some(({ parts }) =>
            parts.some((part) => part.kind === "potential-relay"),
          ));
      return geared ? fault([]) : null;
    }
    case "supply-low":
      return fault([], 0.7 + 0.17 * random());
    case "supply-high":
      return fault([], 1.13 + 0.15 * random());
    case "phase-lost":
      return fault([pick(random, kind === "line-and-neutral" ? terminals.slice(0, 1) : terminals)]);
    case "volts-unbalanced":
      return kind === "three-lines" ? fault([pick(random, terminals)], 0.86 + 0.08 * random()) : null;
    case "shorted-turns": {
      const windings = mains.filter(({ winding }) => winding !== "speed");
      return windings.length > 0 ? fault([pick(random, windings).id], 0.05 + 0.13 * random()) : null;
    }
    case "rotor-bars":
      return fault([], 1.6 + random());
    case "shaft-stuck":
      return fault([]);
    case "drag":
      return fault([], 0.4 + 0.5 * random());
    case "load-heavy":
      return fault([], 1.5 + random());
    case "load-light":
      return fault([], 0.15 + 0.4 * random());
    case "turn-reversed":
      return plan.lands.turn.asDrawn || plan.lands.turn.needed ? fault([]) : null;
    case "clamp-round-two":
      return fault([pick(random, landed)]);
    case "clamp-turns":
      return fault([pick(random, landed)], pick(random, [2, 3, 5]));
    case "wrong-voltage-setting":
      return null;
  }
}
