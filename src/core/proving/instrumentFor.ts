import type { NextCheck } from "./diagnosis";

/** What an instrument measures; one may measure several. */
export const INSTRUMENT_KINDS = ["amps", "volts", "microfarads", "rpm", "ohms", "megohms"] as const;
export type InstrumentKind = (typeof INSTRUMENT_KINDS)[number];

/** The instrument that a check wants; null where an eye, an ear or a clock answers. */
export function instrumentFor(what: NextCheck["what"]): InstrumentKind | null {
  switch (what) {
    case "line-amps":
    case "capacitor-amps":
      return "amps";
    case "supply-volts":
    case "capacitor-volts":
      return "volts";
    case "capacitor-microfarads":
      return "microfarads";
    case "rpm":
      return "rpm";
    case "ohms":
      return "ohms";
    case "insulation":
      return "megohms";
    case "starts":
    case "turn":
    case "pressure":
    case "start-amps":
      return null;
  }
}
