/** Chromium without its own errands: it runs as root in a closed place and asks nobody for anything. */
export const CHROMIUM_ARGUMENTS = [
  "--no-sandbox",
  "--disable-gpu",
  "--disable-quic",
  "--no-first-run",
  "--disable-background-networking",
  "--disable-component-update",
  "--disable-sync",
];
