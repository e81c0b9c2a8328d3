import { existsSync } from "node:fs";
import { capture, has } from "./run.mjs";
import { Remedy, say } from "./say.mjs";

/** Debian's packages of it and their programs: the one without windows does the same in a fifth less time. */
const PACKAGES = ["chromium-headless-shell", "chromium"];
const program = (name) => `/usr/bin/${name}`;

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
  const there = PACKAGES.map(program).find((path) => existsSync(path));
  if (there) return there;
  const asRoot = process.getuid?.() === 0;
  if (!asRoot || !has("apt-get")) {
    throw new Remedy("Chromium is not installed; run `sudo apt-get install chromium` and try again.");
  }
  say("Installing Chromium from Debian's packages …");
  const env = { ...process.env, DEBIAN_FRONTEND: "noninteractive" };
  const installed = () =>
    PACKAGES.find((name) => {
      capture("apt-get", ["install", "-y", "-q", "--no-install-recommends", name], { env });
      return existsSync(program(name));
    });
  let name = installed();
  if (!name) {
    capture("apt-get", ["update", "-q"], { env });
    name = installed();
  }
  if (!name) throw new Remedy("Chromium could not be installed; install it by hand and try again.");
  return program(name);
}
