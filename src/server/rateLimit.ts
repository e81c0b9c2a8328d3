/** Requests one address may make at once, and how many it regains each second. */
const BURST = 240;
const REGAIN_PER_SECOND = 60;
/** Addresses remembered; beyond it the longest unseen are forgotten. */
const MOST_ADDRESSES = 2000;

const buckets = new Map<string, { tokens: number; atMs: number }>();

/** Who asks: the address that the request came from, as the server that took it in wrote it down. */
export function clientOf(request: Request): string {
  return request.headers.get("x-odd-lead-remote") ?? "local";
}

/** Whether an address may make one more request now: a token bucket. */
export function allowed(address: string, nowMs: number): boolean {
  const bucket = buckets.get(address) ?? { tokens: BURST, atMs: nowMs };
  const regained = ((nowMs - bucket.atMs) / 1000) * REGAIN_PER_SECOND;
  const tokens = Math.min(BURST, bucket.tokens + regained);
  buckets.delete(address);
  buckets.set(address, { tokens: Math.max(0, tokens - 1), atMs: nowMs });
  const oldest = buckets.keys().next().value;
  if (buckets.size > MOST_ADDRESSES && oldest !== undefined) buckets.delete(oldest);
  return tokens >= 1;
}
