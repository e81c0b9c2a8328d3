import { Leases } from "./limits/leases";
import { sharedLimiter } from "./limits/sharedLimiter";

/** Sixty requests a second of one address, and as many at once as it may make in four. */
const LIMIT = { name: "requests", points: 240, seconds: 4 };
const HANDFUL = 20;

/** Kept on the process, not the module: each route may be built with a copy of this file. */
const kept = globalThis as typeof globalThis & { oddLeadRequests?: Leases };

/** Who asks: the address that the request came from, as the server that took it in wrote it down. */
export function clientOf(request: Request): string {
  return request.headers.get("x-odd-lead-remote") ?? "local";
}

/** Milliseconds until an address may make a request; 0 where it may now, and has made it. */
export function waitMsOf(address: string): Promise<number> {
  kept.oddLeadRequests ??= new Leases(sharedLimiter(LIMIT), HANDFUL);
  return kept.oddLeadRequests.take(address);
}
