import type { WoundMotor } from "../machine/woundMotor";
import { isTap } from "../motor/slot";
import type { Compartment } from "../wiring/compartment";
import { CAPPED, jointPlace } from "../wiring/place";
import { FRAME, type MotorPlan } from "../wiring/plan";

/** A good plan with one wrong move in it, and what the move was. */
export interface WrongWiring {
  readonly kind: WrongKind;
  /** In words, for a learner who has looked for it. */
  readonly says: string;
  readonly plan: MotorPlan;
}

/** Wrong moves of the trade. */
export const WRONG_KINDS = [
  "two-leads-changed-over",
  "lead-left-off",
  "lead-on-hot",
  "lead-on-return",
  "lead-on-ground",
  "two-taps-tied",
  "capacitor-dropped",
  "capacitor-too-small",
  "wrong-volts",
  "neutral-switched",
  "frame-off",
  "served-wire-off",
  "relay-coil-off",
  "guard-led-round",
] as const;

export type WrongKind = (typeof WRONG_KINDS)[number];

/** Every plan that is one wrong move away from a good one. */
export function wrongWirings(
  plan: MotorPlan,
  motor: WoundMotor,
  name: (lead: string) => string,
): WrongWiring[] {
  const { offers } = plan.compartment;
  const hot = offers.feeds[0]?.hot ?? "";
  const leads = motor.leads.map(({ id }) => id);
  const move = (kind: WrongKind, says: string, landings: Record<string, string>): WrongWiring => ({
    kind,
    says,
    plan: { ...plan, landings: { ...plan.landings, ...landings } },
  });
  const at = (lead: string) => plan.landings[lead] ?? CAPPED;
  const made: WrongWiring[] = [];
  leads.forEach((one, i) => {
    for (const other of leads.slice(i + 1))
      if (at(one) !== at(other))
        made.push(
          move("two-leads-changed-over", `${name(one)} and ${name(other)} are changed over.`, {
            [one]: at(other),
            [other]: at(one),
          }),
        );
    if (at(one) !== CAPPED)
      made.push(move("lead-left-off", `${name(one)} is on nothing.`, { [one]: CAPPED }));
    if (at(one) !== hot)
      made.push(move("lead-on-hot", `${name(one)} is on the switched line.`, { [one]: hot }));
    if (at(one) !== offers.back)
      made.push(move("lead-on-return", `${name(one)} is on the return.`, { [one]: offers.back }));
    made.push(move("lead-on-ground", `${name(one)} is on the ground.`, { [one]: offers.ground }));
  });
  const taps = motor.leads.filter(({ slot }) => isTap(slot));
  taps.forEach((one, i) => {
    for (const other of taps.slice(i + 1)) {
      if (one.junction === other.junction || at(one.id) === at(other.id)) continue;
      const place = at(one.id) === CAPPED ? at(other.id) : at(one.id);
      const both = place === CAPPED ? jointPlace(9) : place;
      made.push(
        move("two-taps-tied", `${name(one.id)} and ${name(other.id)} are tied together.`, {
          [one.id]: both,
          [other.id]: both,
        }),
      );
    }
  });
  made.push(move("frame-off", "The frame’s ground is on nothing.", { [FRAME]: CAPPED }));
  return [...made, ...equipmentWrongs(plan)];
}

function equipmentWrongs(plan: MotorPlan): WrongWiring[] {
  const { compartment: made } = plan;
  const wrong = (
    kind: WrongKind,
    says: string,
    compartment: Compartment,
    more: Partial<MotorPlan> = {},
  ): WrongWiring => ({
    kind,
    says,
    plan: { ...plan, ...more, compartment },
  });
  const list: WrongWiring[] = [
    wrong("wrong-volts", `The supply is ${made.supply.volts * 2} V.`, withVolts(made, 2)),
    wrong("wrong-volts", `The supply is ${made.supply.volts / 2} V.`, withVolts(made, 0.5)),
  ];
  const capacitor = made.offers.capacitor;
  const used = Object.values(plan.landings).includes(capacitor?.startSide ?? "");
  if (capacitor && used) {
    const isRun = (part: Compartment["devices"][number]["parts"][number]) =>
      part.kind === "capacitor" &&
      !part.start &&
      (made.offers.takesStartOut || [part.from, part.to].includes(capacitor.startSide));
    list.push(
      wrong(
        "capacitor-dropped",
        "The capacitor is not there.",
        withParts(made, (part) => (isRun(part) ? [] : [part])),
      ),
      wrong(
        "capacitor-too-small",
        "The capacitor has a third of the microfarads.",
        withParts(made, (part) =>
          isRun(part) && part.kind === "capacitor"
            ? [{ ...part, microfarads: part.microfarads / 3 }]
            : [part],
        ),
      ),
    );
  }
  if (made.supply.kind === "line-and-neutral") {
    const [line = "L", neutral = "N"] = made.supply.terminals;
    list.push(
      wrong("neutral-switched", "Line and neutral are changed over: the switch breaks the neutral.", {
        ...made,
        supply: { ...made.supply, terminals: [neutral, line] },
      }),
    );
  }
  for (const { parts } of made.devices)
    for (const part of parts)
      if (part.kind === "contact" && part.openedBy && part.closedOn === "always") {
        const jumper = { id: `round-${part.id}`, from: part.from, to: part.to };
        list.push(
          wrong("guard-led-round", `A jumper leads round what opens when ${part.openedBy}.`, made, {
            jumpers: [...plan.jumpers, jumper],
          }),
        );
      }
  for (const wire of made.wires) {
    const compartment = { ...made, wires: made.wires.filter(({ id }) => id !== wire.id) };
    const removed = [...plan.removed, wire];
    if (wire.serves)
      list.push(
        wrong("served-wire-off", `A wire that serves the ${wire.serves} is off.`, compartment, { removed }),
      );
    if (wire.from === "relay.5" || wire.to === "relay.5")
      list.push(wrong("relay-coil-off", "The relay’s coil has lost its return.", compartment, { removed }));
  }
  return list;
}

function withVolts(made: Compartment, times: number): Compartment {
  return { ...made, supply: { ...made.supply, volts: made.supply.volts * times } };
}

type Part = Compartment["devices"][number]["parts"][number];

function withParts(made: Compartment, change: (part: Part) => Part[]): Compartment {
  return {
    ...made,
    devices: made.devices.map((device) => ({ ...device, parts: device.parts.flatMap(change) })),
  };
}
