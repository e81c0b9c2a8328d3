/** Writes the API description, made from the Zod schemas, into the folder given. */
import { mkdirSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { openApi } from "../src/contract";

const folder = process.argv[2];
if (!folder) throw new Error("name the folder to write to");
mkdirSync(folder, { recursive: true });
writeFileSync(join(folder, "openapi.json"), `${JSON.stringify(openApi(), null, 2)}\n`);
