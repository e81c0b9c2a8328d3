import type { Device } from "./device";

/** What became of what was typed. */
export interface Account {
  readonly typed: number;
  /** Typed and nowhere at the server. */
  readonly lost: readonly string[];
  /** At the server more than once. */
  readonly doubled: readonly string[];
  /** Listed by no device, or by one alone. */
  readonly unseen: readonly string[];
  /** At the server and never taken by a page: nobody typed it to the end. */
  readonly unknown: readonly string[];
}

interface Fact {
  readonly id: string;
  readonly body: { readonly kind: string; readonly typed?: string };
}

/** Every fact of a job that the server has. */
async function factsOf(origin: string, job: string): Promise<Fact[]> {
  const facts: Fact[] = [];
  for (let after = 0; ; ) {
    const answer = await fetch(`${origin}/api/v1/jobs/${job}/facts?after=${after}`);
    if (!answer.ok) throw new Error(`the server answers ${answer.status} to who asks for the facts`);
    const page = (await answer.json()) as { facts: Fact[]; more: boolean; arrival: number };
    facts.push(...page.facts);
    if (!page.more) return facts;
    after = page.arrival;
  }
}

/** Holds what was typed against what the server has and what each device shows. */
export async function account(origin: string, job: string, devices: readonly Device[]): Promise<Account> {
  const facts = await factsOf(origin, job);
  const there = facts.flatMap(({ body }) => (body.kind === "pair-reading" && body.typed ? [body.typed] : []));
  const typed = devices.flatMap((device) => device.typed.map(({ value }) => value));
  const tables = await Promise.all(devices.map((device) => device.table()));
  const times = new Map<string, number>();
  for (const value of there) times.set(value, (times.get(value) ?? 0) + 1);
  const known = new Set(typed);
  return {
    typed: typed.length,
    lost: typed.filter((value) => !times.has(value)),
    doubled: [...times].filter(([, count]) => count > 1).map(([value]) => value),
    unseen: typed.filter((value) => tables.some((table) => !table.includes(value))),
    unknown: [...times.keys()].filter((value) => !known.has(value)),
  };
}
