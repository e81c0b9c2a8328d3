import { type Lead, leadNames } from "../motor/lead";
import { parseLeadEntry } from "../motor/leadEntry";
import { type Fault, fault, type Refused, refused } from "../quantity/fault";
import { parseOhms } from "../quantity/ohms";
import { parseTemperature } from "../quantity/temperature";

/** The ohms of a motor as its leaflet states them, or as they were read from a new one. */
export interface StatedOhms {
  readonly ok: true;
  readonly leads: readonly Lead[];
  /** Between two leads by id; null for open. */
  readonly pairs: readonly { readonly between: readonly [string, string]; readonly ohms: number | null }[];
  /** The winding they are stated for; null where it is not said. */
  readonly windingC: number | null;
}

/** No motor of this trade has more leads. */
const MOST_LEADS = 12;
const AT = /\s*(?:\bat\b|@)\s*([^;,]*)$/i;
/** Between pairs; a comma between digits is a decimal one. */
const BETWEEN_PAIRS = /[;\n]|,(?!\d)/;
const BETWEEN_LEADS = /\s*[-–—]\s*|\s+to\s+|\s+/i;

/**
 * Reads ohms between leads in one line: "BK–WH 8.2, BN–WH 12.4 at 25 °C", "T1-T4 3.1; T2-T5 3.1". A lead is said by its
 * color or its mark; the temperature may be left out.
 */
export function parseStatedOhms(text: string): StatedOhms | Refused {
  const faults: Fault[] = [];
  const at = AT.exec(text);
  const temperature = at ? parseTemperature(at[1] ?? "") : null;
  if (temperature && !temperature.ok) faults.push(...temperature.faults);
  const pieces = (at ? text.slice(0, at.index) : text)
    .split(BETWEEN_PAIRS)
    .map((piece) => piece.trim())
    .filter((piece) => piece !== "");
  const leads = new Map<string, Lead>();
  const pairs = new Map<string, StatedOhms["pairs"][number]>();
  for (const piece of pieces) {
    const read = readPair(piece, leads);
    if (!read.ok) {
      faults.push(...read.faults);
      continue;
    }
    const key = [...read.pair.between].sort().join(" ");
    if (pairs.has(key)) faults.push(fault("twice", `“${piece}”: these two leads were given before.`));
    pairs.set(key, read.pair);
  }
  if (pieces.length === 0)
    faults.push(fault("empty", "No ohms are given. Write two leads and the ohms between them: BK–WH 8.2."));
  if (leads.size > MOST_LEADS)
    faults.push(fault("too-many", `These are ${leads.size} leads; a motor has ${MOST_LEADS} at most.`));
  if (faults.length > 0) return refused(...faults);
  return {
    ok: true,
    leads: [...leads.values()],
    pairs: [...pairs.values()],
    windingC: temperature?.ok ? temperature.celsius : null,
  };
}

function readPair(
  piece: string,
  leads: Map<string, Lead>,
): { readonly ok: true; readonly pair: StatedOhms["pairs"][number] } | Refused {
  const [, names = "", value = ""] = /^(.*?)[\s:=]+(\S+(?:\s*(?:Ω|ω|ohms?))?)$/i.exec(piece) ?? [];
  const ohms = parseOhms(value);
  const said = names.split(BETWEEN_LEADS).filter((name) => name !== "");
  if (!ohms.ok || said.length !== 2)
    return refused(
      fault("not-a-pair", `“${piece}” is not two leads and the ohms between them, such as BK–WH 8.2.`),
    );
  const ids: string[] = [];
  for (const name of said) {
    const entry = parseLeadEntry(name);
    if (!entry) return refused(fault("unknown-lead", `“${name}” is neither a color nor a mark of a lead.`));
    const id = [...leadNames([{ id: name, ...entry }]).values()][0]?.short ?? name;
    leads.set(id, { id, ...entry });
    ids.push(id);
  }
  const [one = "", other = ""] = ids;
  if (one === other) return refused(fault("same-lead", `“${piece}”: a lead is read against itself.`));
  return { ok: true, pair: { between: [one, other], ohms: "open" in ohms.shown ? null : ohms.shown.ohms } };
}
