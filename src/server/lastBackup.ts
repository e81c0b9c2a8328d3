import { readdir, stat } from "node:fs/promises";
import { join } from "node:path";

/** When the newest backup in the folder of the start command was made; null where there is none. */
export async function lastBackup(folder = process.env.BACKUPS): Promise<string | null> {
  if (!folder) return null;
  try {
    const newest = (await readdir(folder))
      .filter((name) => name.endsWith(".dump"))
      .sort()
      .at(-1);
    return newest ? (await stat(join(folder, newest))).mtime.toISOString() : null;
  } catch {
    return null;
  }
}
