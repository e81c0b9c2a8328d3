import { type LedProof, ledProof, type Outcome, outcomeOf, seededRandom } from "../src/core/bench";

const SEED = 20_262;
const MACHINES = 1200;
const SOUND_SHARE = 0.4;
/** Where claims are held against what came of them. */
const BINS = 10;

/** Virtual machines under power, one cause each or none, led check by check to an answer; as Markdown. */
export function proving(say: (line: string) => void): string {
  const random = seededRandom(SEED);
  const all: LedProof[] = [];
  for (let i = 0; i < MACHINES; i++) {
    all.push(ledProof(random, SOUND_SHARE, () => performance.now()));
    if ((i + 1) % 50 === 0) say(`${i + 1} machines`);
  }
  const outcomes = all.map((one) => ({ one, outcome: outcomeOf(one) }));
  const count = (of: readonly { outcome: Outcome }[], outcome: Outcome) =>
    of.filter((o) => o.outcome === outcome).length;
  const sound = outcomes.filter(({ one }) => one.fault.cause === "as-planned");
  const faulty = outcomes.filter(({ one }) => one.fault.cause !== "as-planned");
  const percent = (part: number, whole: number) =>
    whole === 0 ? "–" : `${((100 * part) / whole).toFixed(1)} %`;
  const found = count(faulty, "found");
  const wrong = count(outcomes, "false-found");
  const amps = all.flatMap((one) => one.amps);
  const inside = amps.filter((one) => one.true >= one.low && one.true <= one.high).length;
  const times = all.flatMap((one) => one.times).sort((a, b) => a - b);
  const at = (share: number) =>
    `${(times[Math.min(times.length - 1, Math.floor(share * times.length))] ?? 0).toFixed(0)} ms`;
  const causes = [...new Set(faulty.map(({ one }) => one.fault.cause))].sort();
  return [
    "## Proved under power",
    "",
    "Virtual machines of every family on every equipment: iron and rotor of their own, iron loss that the model has not, plates off by five per cent, loads from 0.8 to 1.08 of the rated one, one cause or none, meters of 2 % and 5 counts. A fault that neither amps nor speed nor eye show by more than an instrument tells (two per cent, a five-hundredth of the speed) is drawn again, as is a clamp put on wrong where nothing flows. Led by the next check from the first power on.",
    "",
    `- Machines: ${all.length}, of them sound ${sound.length}.`,
    `- Cause named right among found: ${percent(found, found + wrong)} (${found} of ${found + wrong}).`,
    `- Sound called good: ${percent(count(sound, "good"), sound.length)}; sound called faulty: ${percent(count(sound, "false-found"), sound.length)}.`,
    `- Faulty called good: ${percent(count(faulty, "false-good"), faulty.length)} (${count(faulty, "false-good")} of ${faulty.length}).`,
    `- Checks until the answer: ${(all.reduce((sum, { checks }) => sum + checks, 0) / all.length).toFixed(2)} in the mean.`,
    `- Calibration error of the first cause: ${calibrationError(all).toFixed(3)}.`,
    `- True amps inside of the interval expected before power (stated 95 %): ${percent(inside, amps.length)}.`,
    `- A diagnosis: ${at(0.5)} median, ${at(0.9)} p90, ${at(0.99)} p99, ${at(1)} worst.`,
    "",
    "| cause | machines | found | found wrong | called good | open | stopped |",
    "| --- | --- | --- | --- | --- | --- | --- |",
    ...causes.map((cause) => {
      const of = faulty.filter(({ one }) => one.fault.cause === cause);
      const cells = (["found", "false-found", "false-good", "open", "stopped"] as const).map((o) =>
        count(of, o),
      );
      return `| ${cause} | ${of.length} | ${cells.join(" | ")} |`;
    }),
    "",
  ].join("\n");
}

/** Mean distance of what was claimed of the first cause and how often it was right, over bins of equal width. */
function calibrationError(all: readonly LedProof[]): number {
  const claims = all.map((one) => {
    const [first] = one.diagnosis.causes;
    const named = first ? [first.cause, ...first.same.map(({ cause }) => cause)] : [];
    const outcome = outcomeOf(one);
    // A clamp put on wrong is none where no clamp was put.
    const right = named.includes(one.fault.cause) || outcome === "good" || outcome === "found";
    return { claimed: first?.probability ?? 0, right };
  });
  let error = 0;
  for (let bin = 0; bin < BINS; bin++) {
    const here = claims.filter(({ claimed }) => Math.min(BINS - 1, Math.floor(claimed * BINS)) === bin);
    if (here.length === 0) continue;
    const mean = here.reduce((sum, { claimed }) => sum + claimed, 0) / here.length;
    const right = here.filter(({ right: is }) => is).length / here.length;
    error += (here.length / claims.length) * Math.abs(mean - right);
  }
  return error;
}
