import { attackRetrofit, retrofitPlan, seededRandom } from "../src/core/bench";
import { COMPARTMENTS, checkRetrofit } from "../src/core/wiring";

/** Moves drawn at random for each equipment, beside every lead in every other place. */
const MOVES = 1000;
const SEED = 20_262;

/** Wrong wirings of electronic retrofits, held by the second machine, against what the check says; as Markdown. */
export function retrofitAttack(say: (line: string) => void): string {
  const random = seededRandom(SEED);
  const rows: string[] = [];
  const all = { harmful: 0, missed: 0, falseStops: 0 };
  for (const made of COMPARTMENTS) {
    const plan = retrofitPlan(made);
    if (!plan) continue;
    if (checkRetrofit(plan).weight === "stop") all.falseStops += 1;
    const harmful = attackRetrofit(random, plan, MOVES).filter(({ harm }) => harm !== "none");
    const missed = harmful.filter(({ stopped }) => !stopped).length;
    rows.push(`| ${made.title} | ${harmful.length} | ${missed} |`);
    all.harmful += harmful.length;
    all.missed += missed;
  }
  say(`retrofits: ${all.harmful} harmful wirings, ${all.missed} missed`);
  return [
    "## Retrofits attacked",
    "",
    `Every lead of the three harnesses in every other place, every pair exchanged, ${MOVES} random moves each of two leads, of a bridge, of a wire of the equipment. Harm: a short, line volts on a 24-V input, a live frame, a return on the ground, power broken by a relay or left on behind the door, the jumper for other volts, a run signal missing or standing, another speed than the call's.`,
    "",
    `Good plans stopped: ${all.falseStops}.`,
    "",
    "| equipment | harmful | not stopped |",
    "| --- | --- | --- |",
    ...rows,
    `| all | ${all.harmful} | ${all.missed} |`,
    "",
  ].join("\n");
}
