import type { LeadName } from "../../motor/lead";
import { formatOhms } from "../../quantity/ohms";
import type { Finding } from "../identification";
import type { ReadingSheet } from "../sheet";

/** Below this the copper touches the iron, or nearly; above it moisture or carbon is the likelier cause. */
const GROUNDED_OHMS = 50_000;

/**
 * What the shell tests say. An ohmmeter must show open from every lead to the shell; anything else is a stop. The
 * latest test of a lead stands.
 */
export function shellFindings(sheet: ReadingSheet, names: ReadonlyMap<string, LeadName>): Finding[] {
  const latest = new Map(sheet.frame.map((test) => [test.lead, test]));
  return [...latest.values()].flatMap((test): Finding[] => {
    if (test.ohms === undefined) return [];
    const name = names.get(test.lead)?.long ?? test.lead;
    const shown = formatOhms(test.ohms, sheet.meter.resolutionOhms);
    const grounded = test.ohms < GROUNDED_OHMS;
    return [
      {
        code: grounded ? "grounded-winding" : "low-insulation",
        severity: "fault",
        leads: [test.lead],
        says: grounded
          ? `Stop: ${name} reads ${shown} to the shell. The winding is grounded; do not run this motor.`
          : `Stop: ${name} reads ${shown} to the shell and must read open. Dry it and test the insulation with 500 V before it runs; under 1 MΩ it must not.`,
      },
    ];
  });
}
