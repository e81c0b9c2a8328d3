import type { Identification } from "../identify/identification";
import { type Plate, readPlate } from "../motor/plate";
import type { ProvingSheetInput, TurnedLoad } from "../proving/provingSheet";
import { capacitorsMeasured } from "./capacitorsMeasured";
import type { Job } from "./job";
import type { JobWiring } from "./jobWiring";

/** What a job's motor turns: as somebody said at the proof, as its plate or the old one has it, else a fan. */
export function turnedBy({ proof, plates }: Pick<Job, "proof" | "plates">): TurnedLoad {
  if (proof.load) return proof.load;
  const kind = [plates.new, plates.old].map((typed) => readPlate(typed).plate.load).find(Boolean);
  return { kind: kind ?? "fan" };
}

/**
 * The proving sheet of a job, in the form of `odd-lead/proving-sheet@1`; null while no motor is planned to run there. What
 * was measured in Cap of a capacitor that stays comes after what was seen at the proof, and yields to it.
 */
export function provingSheetOf(
  job: Pick<Job, "leads" | "plates" | "setInside" | "proof" | "capacitorTests">,
  answer: Pick<Identification, "family" | "roles" | "bonded" | "sections"> | null,
  wiring: JobWiring,
): ProvingSheetInput | null {
  if (wiring.kind !== "plan" || !answer) return null;
  const { plan } = wiring;
  const typed = Object.keys(job.plates.new).length > 0 ? job.plates.new : job.plates.old;
  const { turn } = plan.lands;
  const seen = job.proof.seen.map((one) => one.seen);
  return {
    format: "odd-lead/proving-sheet@1",
    motor: {
      plate: typed satisfies Readonly<Record<string, unknown>> | Plate,
      identification: {
        family: answer.family,
        roles: answer.roles,
        bonded: answer.bonded,
        sections: answer.sections,
      },
      leads: [...job.leads],
      ...(job.setInside?.now ? { setAt: job.setInside.now } : {}),
    },
    wiring: {
      compartment: plan.compartment,
      landings: { ...plan.landings },
      jumpers: [...plan.jumpers],
      wanted: [...plan.wanted],
      setting: plan.lands.setting,
      startOut: plan.lands.startOut,
      turn,
    },
    load: turnedBy(job),
    observations: [
      ...seen,
      ...capacitorsMeasured(job, plan).filter(
        ({ at }) => !seen.some((one) => one.what === "capacitor-microfarads" && one.at === at),
      ),
    ],
  };
}
