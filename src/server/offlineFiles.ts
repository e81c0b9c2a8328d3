import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";

/** What a device keeps of the application to work without us: the build's name, and its files by address. */
export interface OfflineFiles {
  readonly build: string;
  readonly files: readonly string[];
}

/** What a file of the build is called that stands packed beside it. */
const PACKED = ".br";

let known: OfflineFiles | null = null;

/** The files of the production build that is served. */
export function offlineFiles(root = process.cwd()): OfflineFiles {
  known ??= {
    build: readFileSync(join(root, ".next", "BUILD_ID"), "utf8").trim(),
    files: [
      "/kept",
      "/manifest.webmanifest",
      ...below(join(root, ".next", "static")).map((file) => `/_next/static/${file}`),
      ...below(join(root, "public", "icons")).map((file) => `/icons/${file}`),
    ],
  };
  return known;
}

/** Files under a folder, as addresses from there; not what stands beside a file packed. */
function below(folder: string): string[] {
  return readdirSync(folder, { withFileTypes: true })
    .flatMap((entry) => {
      const name = encodeURIComponent(entry.name);
      if (entry.isDirectory()) return below(join(folder, entry.name)).map((file) => `${name}/${file}`);
      return entry.name.endsWith(PACKED) ? [] : [name];
    })
    .sort();
}
