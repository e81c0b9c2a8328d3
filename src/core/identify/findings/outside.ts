import type { Finding } from "../identification";
import { type FindingContext, idsOf } from "./context";

/** More likely a build that the catalog has not than any that it has: the least bad one is no answer. */
export function outsideFinding(context: FindingContext): Finding {
  return {
    code: "unknown-build",
    severity: "doubt",
    leads: idsOf(
      context,
      context.sheet.leads.map((_, lead) => lead),
    ),
    says: "These readings strain every kind of motor in the catalog: more likely it is of another build, or more than one thing is wrong. Land nothing by them; what the plate’s drawing shows tells.",
  };
}
