/** Writes the API description and the forms of files, made from the Zod schemas, into the folder given. */
import { mkdirSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import * as z from "zod/mini";
import { openApi } from "../src/contract";
import { jobFile } from "../src/core";

const folder = process.argv[2];
if (!folder) throw new Error("name the folder to write to");
mkdirSync(folder, { recursive: true });
writeFileSync(join(folder, "openapi.json"), `${JSON.stringify(openApi(), null, 2)}\n`);
writeFileSync(
  join(folder, "job.schema.json"),
  `${JSON.stringify(z.toJSONSchema(jobFile, { io: "input" }), null, 2)}\n`,
);
