/** npm run chaos: makes ready what the trial under tests/chaos needs, and runs it. */
import { CHROMIUM_ARGUMENTS, ensureChromium } from "./lib/chromium.mjs";
import { oneAtATime } from "./lib/oneAtATime.mjs";
import { freePort } from "./lib/postgres.mjs";
import { bin, checkNode, ensureBuild, ensureData, ensurePackages, ROOT } from "./lib/project.mjs";
import { show } from "./lib/run.mjs";
import { fail } from "./lib/say.mjs";

async function chaos() {
  checkNode();
  ensureData();
  await oneAtATime("making-ready", async () => {
    await ensurePackages({ development: true });
    await ensureBuild();
  });
  const env = {
    ...process.env,
    ODD_LEAD_CHROMIUM: ensureChromium(),
    ODD_LEAD_CHROMIUM_ARGUMENTS: CHROMIUM_ARGUMENTS.join(" "),
    PORT: String(await freePort(4300)),
  };
  process.exit(await show(bin("tsx"), ["tests/chaos/run.ts", ...process.argv.slice(2)], { cwd: ROOT, env }));
}

chaos().catch(fail);
