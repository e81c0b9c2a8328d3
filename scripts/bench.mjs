/** npm run bench: benchmarks/run.ts, made to plain JavaScript as the product is, which the times are to be those of. */
import { spawnSync } from "node:child_process";
import { join } from "node:path";
import { bundled } from "./lib/bundled.mjs";
import { checkNode, DATA, ensureData, ensurePackages, ROOT } from "./lib/project.mjs";
import { fail } from "./lib/say.mjs";

const MADE = join(DATA, "bench", "run.mjs");

async function main() {
  checkNode();
  ensureData();
  await ensurePackages({ development: true });
  await bundled(join(ROOT, "benchmarks", "run.ts"), MADE, "esm");
  const { status } = spawnSync(process.execPath, [MADE, ...process.argv.slice(2)], {
    cwd: ROOT,
    stdio: "inherit",
  });
  process.exitCode = status ?? 1;
}

main().catch(fail);
