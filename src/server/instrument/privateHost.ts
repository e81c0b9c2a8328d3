import { lookup } from "node:dns/promises";
import { BlockList, isIP } from "node:net";

/** Networks that are nobody else's: this machine, RFC 1918, link-local, and their like of IPv6 (RFC 4193, 4291). */
const OWN = new BlockList();
for (const [network, prefix] of [
  ["127.0.0.0", 8],
  ["10.0.0.0", 8],
  ["172.16.0.0", 12],
  ["192.168.0.0", 16],
  ["169.254.0.0", 16],
] as const)
  OWN.addSubnet(network, prefix, "ipv4");
for (const [network, prefix] of [
  ["::1", 128],
  ["fc00::", 7],
  ["fe80::", 10],
] as const)
  OWN.addSubnet(network, prefix, "ipv6");

/** The address of a host of the own network, looked up once so that it cannot change after; null for any other. */
export async function privateHost(host: string): Promise<string | null> {
  const found = isIP(host) ? { address: host } : await lookup(host).catch(() => null);
  if (!found) return null;
  const family = isIP(found.address) === 6 ? "ipv6" : "ipv4";
  return OWN.check(found.address, family) ? found.address : null;
}
