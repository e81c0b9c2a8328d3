/** npm run chaos -- --hostile 10000: as many hostile requests from many addresses; no fault of ours, nothing told. */
import { readFileSync } from "node:fs";
import { seededRandom } from "../../src/core/bench";
import { CheckoutOfOwn } from "../checkoutOfOwn";
import { hostileRequest, raw, saysTooMuch } from "../hostileRequests";
import { pause } from "./chance";

/** At a time, as from so many people. */
const AT_ONCE = 16;
/** After so many each, its memory is looked at; the first time what it keeps ready is not there yet. */
const EACH = 2000;
/** Another address every so often, before the rate limit answers in place of the rest. */
const PER_ADDRESS = 150;

/** Resident memory of a process, MB. */
function megabytes(pid: number): number {
  const kilobytes = /VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, "utf8"))?.[1];
  return Number(kilobytes) / 1024;
}

/** Sends them; whether the server stood it. */
export async function hostile(count: number, seed: number, say: (line: string) => void): Promise<boolean> {
  const checkout = new CheckoutOfOwn();
  try {
    const started = checkout.start({ PORT: process.env.PORT ?? "" });
    const address = await started.address;
    const pid = started.child.pid ?? 0;
    const random = seededRandom(seed);
    const statuses = new Map<number, number>();
    const bad: string[] = [];
    let sent = 0;
    const memory: number[] = [];
    const one = async () => {
      while (sent < count) {
        const n = sent++;
        if (n > 0 && n % EACH === 0) memory.push(megabytes(pid));
        const from = `127.0.${1 + Math.floor(n / PER_ADDRESS / 250)}.${1 + (Math.floor(n / PER_ADDRESS) % 250)}`;
        const asked = hostileRequest(random);
        const { method, path, body, headers } = asked;
        const told = await raw(address, method, path, body, headers, from).catch((error: Error) => ({
          status: 0,
          text: error.message,
        }));
        statuses.set(told.status, (statuses.get(told.status) ?? 0) + 1);
        const isBusy = told.status === 503;
        if (told.status === 0 || (told.status >= 500 && !isBusy) || saysTooMuch(told.text))
          bad.push(`${method} ${path}: ${told.status} ${told.text.slice(0, 160)}`);
      }
    };
    await Promise.all(Array.from({ length: AT_ONCE }, one));
    await pause(15_000);
    const health = (await fetch(`${address}/api/health`)).status;
    say(
      [...statuses]
        .sort(([a], [b]) => a - b)
        .map(([status, times]) => `${times} × ${status}`)
        .join(", "),
    );
    const megas = [...memory, megabytes(pid)].map((one) => one.toFixed(0)).join(", ");
    say(`Memory after every ${EACH} and after a rest, MB: ${megas}.`);
    for (const line of bad.slice(0, 20)) say(`  ${line}`);
    say(`${count} hostile requests: ${bad.length} faults of ours; health answers ${health}.`);
    return bad.length === 0 && health === 200;
  } finally {
    checkout.remove();
  }
}
