/** Serves the build on DATABASE_URL at HOST and PORT, by PROCESSES; for the browser tests, the benchmarks and the pictures. */
import { processCount, serveBy } from "./lib/processes.mjs";
import { fail, say } from "./lib/say.mjs";

const { DATABASE_URL: url, HOST: host = "127.0.0.1", PORT: port } = process.env;

serveBy(processCount(), { url, host, port: Number(port) })
  .then(() => say(`listening on ${port}`))
  .catch(fail);
