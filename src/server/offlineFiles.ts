import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";

/** What a device keeps of the application to work without us: the build's name, and its files by address. */
export interface OfflineFiles {
  readonly build: string;
  readonly files: readonly string[];
}

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

/** Files under a folder, by their paths from there. */
function below(folder: string): string[] {
  return readdirSync(folder, { withFileTypes: true })
    .flatMap((entry) =>
      entry.isDirectory()
        ? below(join(folder, entry.name)).map((file) => `${entry.name}/${file}`)
        : [entry.name],
    )
    .sort();
}
