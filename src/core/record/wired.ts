import { rememberedFit } from "../machine/rememberedFit";
import { type JobWiring, jobWiring } from "./jobWiring";
import type { WiringAsked } from "./questions";

const fitting = rememberedFit();

/** The wiring that a question as text asks for. */
export function wired(question: string): JobWiring {
  if (question === "") return { kind: "no-equipment" };
  const { facts, motor } = JSON.parse(question) as WiringAsked;
  return jobWiring(facts, motor, fitting);
}
