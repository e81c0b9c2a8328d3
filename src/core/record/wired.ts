import { fitMotor } from "../machine/fitMotor";
import { planWiring } from "../wiring/planWiring";
import { type JobWiring, jobWiring } from "./jobWiring";
import type { WiringAsked } from "./questions";
import { remembered } from "./remembered";

const by = { fitting: remembered(fitMotor), planning: remembered(planWiring) };

/** The wiring that a question as text asks for. */
export function wired(question: string): JobWiring {
  if (question === "") return { kind: "no-equipment" };
  const { facts, motor } = JSON.parse(question) as WiringAsked;
  return jobWiring(facts, motor, by);
}
