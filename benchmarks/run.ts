/** npm run bench: repeatable measurements. They print figures and judge nothing. */
import { cpus } from "node:os";
import { identification } from "./identification";

console.log(`${cpus()[0]?.model ?? "unknown processor"}, Node ${process.version}`);
identification();
