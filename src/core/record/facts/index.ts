import * as z from "zod/mini";
import { faultsOf, type Refused, refused } from "../../quantity/fault";
import { text } from "../../quantity/text";
import type { JobDraft } from "../jobDraft";
import { FACT_BODY, FACT_KINDS } from "./found";
import type { FactKind, OlderBody } from "./kind";

/**
 * Facts of a job: what a person entered, with who and when. They are only ever added. A correction is a later fact,
 * an undo is a fact too. Ids are made where the fact is made, so that a repeated upload changes nothing. What
 * comes after what is the order in which the server received them, and among those of one device the order made there:
 * clocks have no say. Each kind has a file of its own under `kinds/`.
 */

/** Where a fact was made, and its place among the facts made there: larger than that of every one before. */
const making = z.object({ device: z.uuid(), seq: z.int().check(z.gte(0), z.lte(Number.MAX_SAFE_INTEGER)) });

/** One fact of a job, as it is written now. Facts from before devices had a name of their own tell of none. */
export const fact = z.object({
  id: z.uuid(),
  at: z.iso.datetime(),
  by: text(40),
  made: z.optional(making),
  body: FACT_BODY,
});
export type Fact = z.output<typeof fact>;
export type FactBody = Fact["body"];

/** The most facts one upload carries. */
export const MOST_FACTS_A_WRITE = 500;

/** Times outside are a clock that was never set, or made up: they would stand at one end of every list for ever. */
const FIRST_DAY = "2020-01-01";
const LAST_DAY = "2100-01-01";

/** A fact as it is taken from outside. What was taken before is read back whatever its time. */
const newFact = z.extend(fact, {
  id: fact.shape.id.check(z.refine(isMadeInSense, { error: "is no id made by time in our years" })),
  at: fact.shape.at.check(
    z.refine((at) => at >= FIRST_DAY && at < LAST_DAY, { error: "is no time in our years" }),
  ),
});

/** A UUIDv7 (RFC 9562) whose milliseconds lie in those years. */
function isMadeInSense(id: string): boolean {
  const madeMs = Number.parseInt(id.replaceAll("-", "").slice(0, 12), 16);
  return id.charAt(14) === "7" && madeMs >= Date.parse(FIRST_DAY) && madeMs < Date.parse(LAST_DAY);
}

/** The form of an upload of facts to a job. */
export const factUpload = z.object({
  facts: z.array(newFact).check(z.minLength(1), z.maxLength(MOST_FACTS_A_WRITE)),
});

const byKind = new Map<string, FactKind<string, z.ZodMiniType>>(
  FACT_KINDS.map((kind) => [kind.kind, kind as unknown as FactKind<string, z.ZodMiniType>]),
);

/** A fact read back, of whatever version it was written by; or what is wrong with it. */
export function readFact(written: unknown): { readonly ok: true; readonly fact: Fact } | Refused {
  const parsed = fact.safeParse(upgradedFact(written));
  return parsed.success ? { ok: true, fact: parsed.data } : refused(...faultsOf(parsed.error.issues));
}

/** A fact as somebody wrote it, its body brought up to the present version; what is no fact is left as it is. */
export function upgradedFact(written: unknown): unknown {
  if (!isRecord(written) || !isRecord(written.body)) return written;
  return { ...written, body: upgradedBody(written.body) };
}

function upgradedBody(body: OlderBody): OlderBody {
  const kind = byKind.get(String(body.kind));
  const from = body.v === undefined ? 1 : body.v;
  if (!kind || typeof from !== "number" || from < 1) return body;
  return kind.upgrades.slice(from - 1).reduce((older, upgrade) => upgrade(older), body);
}

/** Changes a draft by a fact, and unmakes what stood on what it changes; the draft is changed in place. */
export function changeBy(draft: JobDraft, { body, ...meta }: Fact): void {
  const kind = byKind.get(body.kind);
  if (!kind) throw new RangeError(`no kind of fact is called ${body.kind}`);
  kind.change(draft, body, meta);
  if (kind.unmakesReady) draft.ready = null;
}

function isRecord(value: unknown): value is Record<string, unknown> {
  return typeof value === "object" && value !== null && !Array.isArray(value);
}

export type { BoardNow } from "../nouns/boardNow";
export type { CapacitorChoice } from "../nouns/capacitorChoice";
export type { CapacitorTest } from "../nouns/capacitorTest";
export type { ChosenMotor } from "../nouns/chosenMotor";
export type { Conditions } from "../nouns/conditions";
export type { InsulationTest } from "../nouns/insulationTest";
export type { KickSeen } from "../nouns/kick";
export type { LabelText } from "../nouns/labelText";
export type { OldLead } from "../nouns/oldLead";
export type { Photo } from "../nouns/photo";
export type { Pin } from "../nouns/pin";
export type { MachinePlace } from "../nouns/place";
export type { ProbeAbout } from "../nouns/probeAbout";
export type { Reference } from "../nouns/reference";
export type { SetInside } from "../nouns/setInside";
export type { WiringWish } from "../nouns/wiringWish";
