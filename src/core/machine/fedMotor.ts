import type { FeedingAsk, Net, Service } from "../motor/feeding";
import type { Branch, Machine } from "./circuit";
import { type Complex, complex, polar } from "./complex";
import { feedingOf } from "./feedingOf";
import { GROUND, joinedCircuit } from "./joinedCircuit";
import { capacitor, type MotorParameters, motorBranches, type StartGear } from "./motorBranches";
import type { StartContact } from "./operatingPoint";
import type { WoundMotor } from "./woundMotor";

/** What a motor is fed with on its own: volts between lines, and the capacitor on its run leads. */
export interface Feed {
  readonly ask: Omit<FeedingAsk, "slots" | "startOutside">;
  readonly volts: number;
  readonly runMicrofarads: number | null;
  /** The supply's, where that is not the motor's own. */
  readonly hertz?: number;
}

/** A motor fed straight from its supply as its own chart says: what a right landing is held against. */
export interface FedMotor {
  readonly machine: Machine;
  readonly contacts: readonly StartContact[];
}

/** Null where the motor has no such speed or setting. */
export function fedMotor(
  motor: WoundMotor,
  p: MotorParameters,
  gear: StartGear,
  feed: Feed,
): FedMotor | null {
  const slots = new Set(motor.leads.map(({ slot }) => slot));
  // A run capacitor on a start winding of its own leads stays in line with it for good.
  const through = feedingOf(motor).shaftSwitch && feed.runMicrofarads !== null && !gear.shaftSwitch;
  const nets = feedingOf(motor).chart({ ...feed.ask, slots, startOutside: through });
  if (!nets) return null;
  const hertz = feed.hertz ?? p.hertz;
  const own = motorBranches(motor, p, gear, hertz);
  const branches: Branch[] = [...sources(feedingOf(motor).phases, feed.volts), ...own.branches];
  if (feed.runMicrofarads !== null) {
    const [from, to] = through ? ["line-1", "start"] : ["run-cap-1", "run-cap-2"];
    branches.push(capacitor("run-capacitor", from as string, to as string, feed.runMicrofarads, hertz));
  }
  // Started alone, the start end meets the line that a run capacitor would have hung on; the gear lies in line.
  const startsOnly = gear.shaftSwitch && !feedingOf(motor).shaftSwitch;
  const circuit = joinedCircuit(branches, [
    ...nets.flatMap((net) => wires(net, motor)),
    ...(startsOnly ? [["run-cap-1", "run-cap-2"] as [string, string]] : []),
  ]);
  return {
    machine: {
      hertz,
      fields: own.fields,
      frictionNm: p.frictionNm,
      branches: circuit.branches,
    },
    contacts: own.contacts,
  };
}

/** The lines of a supply of so many volts between them, about the frame as nearly all supplies stand. */
function sources(phases: 1 | 3, volts: number): Branch[] {
  const line = (service: Service, phasor: Complex): Branch => ({
    kind: "source",
    id: service,
    from: service,
    to: GROUND,
    volts: phasor,
    seriesOhms: complex(0),
  });
  if (phases === 1) return [line("line-1", complex(volts / 2)), line("line-2", complex(-volts / 2))];
  return [0, 1, 2].map((i) => line(`line-${i + 1}` as Service, polar(volts / Math.sqrt(3), -120 * i)));
}

/** Wires that make one node of a net's services and the junctions of its slots. */
function wires({ services, slots }: Net, motor: WoundMotor): [string, string][] {
  const ends: string[] = [
    ...services,
    ...motor.leads.filter(({ slot }) => slots.includes(slot)).map(({ junction }) => junction),
  ];
  return ends.slice(1).map((end) => [ends[0] as string, end]);
}
