import { existsSync } from "node:fs";
import { capture, has } from "./run.mjs";
import { Remedy, say } from "./say.mjs";

const PROGRAM = "/usr/bin/chromium";

/** Chromium without its own errands: it may run as root in a closed place, and asks nobody for anything. */
export const CHROMIUM_ARGUMENTS = [
  "--no-sandbox",
  "--disable-gpu",
  "--disable-quic",
  "--no-first-run",
  "--disable-background-networking",
  "--disable-component-update",
  "--disable-sync",
];

/** Debian's Chromium, installed where it is missing. */
export function ensureChromium() {
  if (existsSync(PROGRAM)) return PROGRAM;
  const asRoot = process.getuid?.() === 0;
  if (!asRoot || !has("apt-get")) {
    throw new Remedy("Chromium is not installed; run `sudo apt-get install chromium` and try again.");
  }
  say("Installing Chromium from Debian's packages …");
  const env = { ...process.env, DEBIAN_FRONTEND: "noninteractive" };
  const install = () =>
    capture("apt-get", ["install", "-y", "-q", "--no-install-recommends", "chromium"], { env });
  if (install().status !== 0) {
    capture("apt-get", ["update", "-q"], { env });
    install();
  }
  if (!existsSync(PROGRAM))
    throw new Remedy("Chromium could not be installed; install it by hand and try again.");
  return PROGRAM;
}
