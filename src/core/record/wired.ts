import { type JobWiring, jobWiring } from "./jobWiring";
import type { WiringAsked } from "./questions";

/** The wiring that a question as text asks for. */
export function wired(question: string): JobWiring {
  if (question === "") return { kind: "no-equipment" };
  const { facts, motor } = JSON.parse(question) as WiringAsked;
  return jobWiring(facts, motor);
}
