/**
 * npm run chaos: whether what is typed is kept, whatever fails. `npm run chaos -- --faults 300 --seed 1`; `--only killed`
 * for faults of that name alone; `--hostile 10000` sends hostile requests instead.
 */
import { parseArgs } from "node:util";
import { hostile } from "./hostile";
import { trial } from "./trial";

const { values } = parseArgs({
  options: {
    faults: { type: "string", default: "300" },
    seed: { type: "string", default: "1" },
    only: { type: "string", default: "" },
    hostile: { type: "string", default: "" },
  },
});
const seed = Number(values.seed);
const say = (line: string) => console.log(line);
const isGood =
  values.hostile === ""
    ? await trial({ faults: Number(values.faults), seed, only: values.only }, say)
    : await hostile(Number(values.hostile), seed, say);
process.exit(isGood ? 0 : 1);
