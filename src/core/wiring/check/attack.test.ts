import { describe, expect, it } from "vitest";
import { seededRandom } from "../../bench/random";
import { ATTACKED_KINDS, attack, goodPlans } from "../../bench/wiringAttack";
import { COMPARTMENTS } from "../equipment";

/** Of all wrong wirings, what is drawn here; the benchmark draws many times more. */
const SHARE = 0.02;

describe("the check, attacked with motors built at random and held against the second machine", () => {
  it.each(COMPARTMENTS.map((made) => [made.title, made] as const))(
    "%s: no good plan is stopped, no harmful wiring passes",
    (_, made) => {
      const random = seededRandom(4711);
      const stopped: string[] = [];
      const missed: string[] = [];
      for (const [family, leads] of ATTACKED_KINDS)
        for (const good of goodPlans(random, made, family, leads)) {
          const stops = good.check.findings.filter(({ weight }) => weight === "stop");
          if (stops.length > 0) {
            stopped.push(`${family} ${leads} ${good.plan.id}: ${stops.map(({ says }) => says).join(" ")}`);
            continue;
          }
          for (const { kind, says, harm, stopped: is, said } of attack(random, good, SHARE))
            if (harm !== "none" && !is)
              missed.push(`${family} ${leads} ${good.plan.id} ${kind} ${says}: ${harm}, said ${said.join()}`);
        }
      expect(stopped).toEqual([]);
      expect(missed).toEqual([]);
    },
    120_000,
  );
});
