/** Serves the build on DATABASE_URL at HOST and PORT; for the browser tests and the pictures. */
import { fail, say } from "./lib/say.mjs";
import { serve } from "./lib/serve.mjs";

const { DATABASE_URL: url, HOST: host = "127.0.0.1", PORT: port } = process.env;

serve({ url, host, port: Number(port) })
  .then(() => say(`listening on ${port}`))
  .catch(fail);
