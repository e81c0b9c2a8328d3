import * as z from "zod/mini";
import { type Fault, fault, faultsOf, type Refused, refused } from "../quantity/fault";
import { CORE_VERSION } from "../version";
import { canonicalJson, digestOf } from "./digest";
import { DIGEST } from "./digestForm";
import { type Fact, fact, upgradedFact } from "./facts";

/** The most facts a file of a job has. */
const MOST_FACTS = 200_000;
const MOST_PHOTOS = 24;

/** A photo that goes with the file, in the archive beside it. */
const filePhoto = z.strictObject({
  id: z.uuid(),
  sha256: z.string().check(z.regex(DIGEST), z.meta({ description: "Of the JPEG’s bytes." })),
});

/** The form of `odd-lead/job@1`: a job as a file, its facts as they were entered. */
export const jobFile = z.strictObject({
  format: z.literal("odd-lead/job@1"),
  version: z.string().check(z.maxLength(40), z.meta({ description: "Of the core that wrote the file." })),
  written: z.iso.datetime(),
  job: z.uuid(),
  facts: z
    .array(fact)
    .check(
      z.minLength(1),
      z.maxLength(MOST_FACTS),
      z.meta({ description: "In the order in which they count; an id is that of one fact." }),
    ),
  photos: z._default(z.array(filePhoto).check(z.maxLength(MOST_PHOTOS)), []),
  sha256: z.optional(z.string().check(z.regex(DIGEST))).check(
    z.meta({
      description: "Of the rest as canonical JSON: names in order, nothing between. Left out by a hand.",
    }),
  ),
});
export type JobFile = z.output<typeof jobFile>;
export type FilePhoto = z.output<typeof filePhoto>;

/** A job as a file, ready to be written. */
export function jobFileOf(
  job: string,
  facts: readonly Fact[],
  photos: readonly FilePhoto[],
  written: string,
): JobFile {
  const file = {
    format: "odd-lead/job@1" as const,
    version: CORE_VERSION,
    written,
    job,
    facts: [...facts],
    photos: [...photos],
  };
  return { ...file, sha256: digestOf(canonicalJson(file)) };
}

/** The file as text: one line, so that nothing of it is without meaning. */
export function jobFileText(file: JobFile): string {
  return JSON.stringify(file);
}

/** As many faults of a file are told. */
const MOST_TOLD = 20;

/**
 * Reads a file of a job, of this version or an earlier one. What does not hold together is refused with where and why;
 * so is a file that is not as it was written.
 */
export function readJobFile(text: string): { readonly ok: true; readonly file: JobFile } | Refused {
  let written: unknown;
  try {
    written = JSON.parse(text);
  } catch {
    return refused(fault("not-json", "This is no JSON: the file is broken off or of another kind."));
  }
  const format = formatOf(written);
  if (format !== "odd-lead/job@1")
    return refused(
      fault(
        "other-format",
        format === null
          ? "This file does not say that it is a job: its “format” is missing."
          : `“${format.slice(0, 60)}” is a form that this version does not read.`,
        ["format"],
      ),
    );
  const changed = changedSince(written as Record<string, unknown>);
  if (changed) return refused(changed);
  const read = jobFile.safeParse(upgraded(written as Record<string, unknown>));
  if (!read.success) return refused(...faultsOf(read.error.issues).slice(0, MOST_TOLD));
  const twice = doubled(read.data.facts);
  return twice ? refused(twice) : { ok: true, file: read.data };
}

function formatOf(written: unknown): string | null {
  if (typeof written !== "object" || written === null || !("format" in written)) return null;
  return typeof written.format === "string" ? written.format : null;
}

/** The file carries a sum, and it is not that of what it says. */
function changedSince({ sha256, ...rest }: Record<string, unknown>): Fault | null {
  if (sha256 === undefined || sha256 === digestOf(canonicalJson(rest))) return null;
  return fault("changed", "This file is not as it was written: its sum does not match what it says.", [
    "sha256",
  ]);
}

function upgraded(written: Record<string, unknown>): unknown {
  return Array.isArray(written.facts) ? { ...written, facts: written.facts.map(upgradedFact) } : written;
}

function doubled(facts: readonly Fact[]): Fault | null {
  const seen = new Set<string>();
  for (const [i, { id }] of facts.entries()) {
    if (seen.has(id)) return fault("twice", "Two facts of the file have one id.", ["facts", i, "id"]);
    seen.add(id);
  }
  return null;
}
