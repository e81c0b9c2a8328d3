/** npm run bench: repeatable measurements, written to docs/benchmarks.md. They judge nothing. */
import { execFileSync } from "node:child_process";
import { writeFileSync } from "node:fs";
import { cpus } from "node:os";
import { asked } from "./asked";
import { faults } from "./faults";
import { identification } from "./identification";
import { identifyTimes } from "./identifyTimes";
import { ledFaults } from "./ledFaults";
import { machine as acMachine } from "./machine";
import { machineFit } from "./machineFit";
import { knownAgain } from "./metBefore";
import { proving } from "./proving";
import { replacement } from "./replacement";
import { retrofitAttack } from "./retrofitAttack";
import { wiring } from "./wiring";
import { wiringAttack } from "./wiringAttack";

/** What needs the server, its database or a browser runs as the commands do that start them. */
function measuredBy(script: string): string {
  const text = execFileSync("node", [`benchmarks/${script}`], { encoding: "utf8" });
  return text.slice(text.indexOf("## "));
}

/** The sections of docs/benchmarks.md, in their order; `npm run bench -- times faults` measures and prints those alone. */
const SECTIONS: Readonly<Record<string, (say: (line: string) => void) => string>> = {
  identification,
  times: identifyTimes,
  faults,
  led: ledFaults,
  asked,
  replacement,
  machine: acMachine,
  fit: machineFit,
  wiring,
  attack: wiringAttack,
  retrofit: retrofitAttack,
  proving,
  met: knownAgain,
  record: () => measuredBy("record.mjs"),
  load: () => measuredBy("load.mjs"),
  memory: () => measuredBy("memory.mjs"),
  felt: () => measuredBy("felt.mjs"),
};

const machine = `${cpus().length} × ${cpus()[0]?.model ?? "unknown processor"}, Node ${process.version}`;
const say = (line: string) => console.log(line);
say(machine);

const alone = process.argv.slice(2);
const unknown = alone.filter((name) => !(name in SECTIONS));
if (unknown.length > 0) {
  say(`There is no section ${unknown.join(", ")}; there are ${Object.keys(SECTIONS).join(", ")}.`);
  process.exit(1);
}
const sections = Object.entries(SECTIONS)
  .filter(([name]) => alone.length === 0 || alone.includes(name))
  .map(([, measure]) => measure(say));

if (alone.length > 0) {
  say(sections.join("\n"));
} else {
  const head = [
    "# Benchmarks",
    "",
    "Made by `npm run bench` on random motors of the virtual bench, from fixed seeds.",
    "",
    `Times are of ${machine}; another machine, other times.`,
    "",
  ];
  writeFileSync("docs/benchmarks.md", [...head, ...sections].join("\n"));
  say("written to docs/benchmarks.md");
}
