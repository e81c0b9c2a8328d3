import { hostname, networkInterfaces } from "node:os";

/**
 * Only our own page asks the application. A page from elsewhere that a technician has open could otherwise read and write
 * everything here under a name of its own that it points at this machine (DNS rebinding), or by requests that need no
 * reading (forms, images).
 */

/** On every answer, whatever made it. */
export const OWN_HEADERS = {
  "x-content-type-options": "nosniff",
  "cross-origin-resource-policy": "same-origin",
  "cross-origin-opener-policy": "same-origin",
};

const LOOPBACK = ["localhost", "127.0.0.1", "[::1]"];
const ANY_ADDRESS = new Set(["0.0.0.0", "::", "[::]"]);

/**
 * Names under which the application may be asked: loopback, the address that it is bound to, and those of the setting,
 * separated by commas. Bound to every address it answers to the machine's own.
 */
export function allowedHosts(host, setting = "") {
  const own = ANY_ADDRESS.has(host)
    ? [hostname(), ...Object.values(networkInterfaces()).flatMap((list) => (list ?? []).map(bracketed))]
    : [host.includes(":") ? `[${host.replace(/^\[|\]$/g, "")}]` : host];
  const given = setting.split(",").map((name) => name.trim());
  return new Set([...LOOPBACK, ...own, ...given].filter(Boolean).map((name) => name.toLowerCase()));
}

function bracketed({ address, family }) {
  return family === "IPv6" ? `[${address}]` : address;
}

/** Why a request is not from our own page, as status and words; null where it is, or from a program. */
export function foreign({ host, origin, "sec-fetch-site": site }, allowed) {
  const name = hostOf(host);
  if (name === null || !allowed.has(name))
    return {
      status: 421,
      title: "This application does not answer to that name; ALLOWED_HOSTS sets the names it has.",
    };
  if (origin !== undefined && !isOrigin(origin, host))
    return { status: 403, title: "Pages of another site are not answered." };
  if (site === "cross-site") return { status: 403, title: "Requests from another site are not answered." };
  return null;
}

/** The name in a Host header, without the port; null where it is none. */
function hostOf(host) {
  const match = /^(\[[0-9a-f:.]+\]|[^:/?#@\s]+)(?::\d{1,5})?$/i.exec(host ?? "");
  return match?.[1]?.toLowerCase() ?? null;
}

function isOrigin(origin, host) {
  try {
    return new URL(origin).host.toLowerCase() === String(host).toLowerCase();
  } catch {
    return false;
  }
}
