import { ATTACKED_KINDS, attack, goodPlans, seededRandom } from "../src/core/bench";
import { COMPARTMENTS } from "../src/core/wiring";

/** Share of all wrong wirings that is drawn: a few thousand, some minutes. */
const SHARE = 0.25;
const SEED = 20_261;

/** Wrong wirings of motors built at random, held by the second machine, against what the check says; as Markdown. */
export function wiringAttack(say: (line: string) => void): string {
  const random = seededRandom(SEED);
  const kinds = new Map<string, { harmful: number; missed: number }>();
  let plans = 0;
  let falseStops = 0;
  for (const made of COMPARTMENTS) {
    for (const [family, leads] of ATTACKED_KINDS)
      for (const attacked of goodPlans(random, made, family, leads)) {
        plans += 1;
        if (attacked.check.weight === "stop") {
          falseStops += 1;
          continue;
        }
        for (const { kind, harm, stopped } of attack(random, attacked, SHARE)) {
          const count = kinds.get(kind) ?? { harmful: 0, missed: 0 };
          kinds.set(kind, count);
          if (harm === "none") continue;
          count.harmful += 1;
          if (!stopped) count.missed += 1;
        }
      }
    say(made.title);
  }
  const all = [...kinds.values()].reduce(
    (sum, { harmful, missed }) => ({ harmful: sum.harmful + harmful, missed: sum.missed + missed }),
    { harmful: 0, missed: 0 },
  );
  const percent = ({ harmful, missed }: typeof all) =>
    harmful === 0 ? "–" : `${((100 * missed) / harmful).toFixed(2)} %`;
  const rows = [...kinds].map(
    ([kind, count]) => `| ${kind} | ${count.harmful} | ${count.missed} | ${percent(count)} |`,
  );
  say(`${plans} good plans, ${falseStops} stopped; ${all.harmful} harmful wirings, ${all.missed} missed`);
  return [
    "## Wirings attacked",
    "",
    "Motors built from their iron and rotor, their plates read off how they run; every equipment, every kind of motor that lands on it. Harm is reckoned by the second machine with the motor as it truly is: a short, no start, the wrong way, half again the right amps in a winding, a speed off by six per cent, or running uncalled.",
    "",
    `Good plans, every fact given: ${plans}; stopped: ${falseStops}.`,
    "",
    "| wrong move | harmful | not stopped | share |",
    "| --- | --- | --- | --- |",
    ...rows,
    `| all | ${all.harmful} | ${all.missed} | ${percent(all)} |`,
    "",
  ].join("\n");
}
