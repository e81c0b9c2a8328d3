/** One of several processes that serve the build on one port; lib/processes.mjs starts it. Ends when its parent does. */
import { drained } from "./lib/drained.mjs";
import { TAKEN } from "./lib/processes.mjs";
import { fail } from "./lib/say.mjs";
import { serve } from "./lib/serve.mjs";
import { stepDown } from "./lib/stepDown.mjs";

const { DATABASE_URL: url, HOST: host, PORT: port, DATABASE_RUN_BY: runBy } = process.env;

serve({ url, host, port: Number(port) })
  .then((server) => {
    if (runBy) stepDown(runBy === "us", { quietly: true });
    process.on("SIGTERM", () => void drained(server).then(() => process.exit(0)));
    // A signal to the whole group is the parent's to hand on, so that what is in flight is finished.
    process.on("SIGINT", () => undefined);
    process.on("SIGHUP", () => undefined);
  })
  .catch((error) => (error.code === "EADDRINUSE" ? process.exit(TAKEN) : fail(error)));
