/** npm run bench: repeatable measurements, written to docs/benchmarks.md. They judge nothing. */
import { execFileSync } from "node:child_process";
import { writeFileSync } from "node:fs";
import { cpus } from "node:os";
import { asked } from "./asked";
import { faults } from "./faults";
import { identification } from "./identification";
import { ledFaults } from "./ledFaults";
import { machine as acMachine } from "./machine";
import { machineFit } from "./machineFit";
import { knownAgain } from "./metBefore";
import { proving } from "./proving";
import { replacement } from "./replacement";
import { retrofitAttack } from "./retrofitAttack";
import { wiring } from "./wiring";
import { wiringAttack } from "./wiringAttack";

/** What needs the server and its database runs as the commands do that start them. */
function record(): string {
  const text = execFileSync("node", ["benchmarks/record.mjs"], { encoding: "utf8" });
  return text.slice(text.indexOf("## "));
}

const machine = `${cpus().length} × ${cpus()[0]?.model ?? "unknown processor"}, Node ${process.version}`;
const say = (line: string) => console.log(line);
say(machine);
const text = [
  "# Benchmarks",
  "",
  "Made by `npm run bench` on random motors of the virtual bench, from fixed seeds.",
  "",
  `Times are of ${machine}; another machine, other times.`,
  "",
  identification(say),
  faults(say),
  ledFaults(say),
  asked(say),
  replacement(say),
  acMachine(say),
  machineFit(say),
  wiring(say),
  wiringAttack(say),
  retrofitAttack(say),
  proving(say),
  knownAgain(say),
  record(),
].join("\n");
writeFileSync("docs/benchmarks.md", text);
say("written to docs/benchmarks.md");
