import type * as z from "zod/mini";
import type { meterValue } from "@/contract";
import { figureOf, shownOf } from "@/core/bench";
import type { InstrumentKind } from "@/core/proving";
import { log } from "../log";
import type { attachedMeters } from "./attachedMeters";

const READ_MS = 200;
/** A page that stays away longer attaches again. */
const LONGEST_MS = 30 * 60_000;

/**
 * What an attached meter shows, five times a second, as server-sent events, until the page goes away.
 *
 * @param onEnd called once when nothing more is sent.
 */
export function meterStream(
  meters: ReturnType<typeof attachedMeters>,
  id: string,
  { signal }: Request,
  onEnd: () => void,
): Response {
  const text = new TextEncoder();
  const until = Date.now() + LONGEST_MS;
  let timer: ReturnType<typeof setTimeout>;
  let ended = false;
  const end = () => {
    if (ended) return false;
    ended = true;
    clearTimeout(timer);
    onEnd();
    return true;
  };
  const body = new ReadableStream<Uint8Array>({
    start(controller) {
      const close = () => {
        if (end()) controller.close();
      };
      const next = async () => {
        try {
          const meter = Date.now() > until ? undefined : await meters.find(id);
          if (!meter) {
            close();
            return;
          }
          const { touch, measures, moving } = meter;
          const shown = shownAs(await meter.scpi.query("READ?"), measures);
          // A value asked for before the probes moved is of neither place.
          const rested = moving === null && (await meters.resting(id)) === touch;
          // The page may have gone away while the meter was asked.
          if (ended) return;
          if (shown && rested)
            controller.enqueue(text.encode(`data: ${JSON.stringify({ touch, shown })}\n\n`));
          timer = setTimeout(next, READ_MS);
        } catch (error) {
          log.warn({ err: error }, "a bench meter stopped answering");
          close();
        }
      };
      signal.addEventListener("abort", close);
      if (signal.aborted) close();
      else void next();
    },
    cancel: () => void end(),
  });
  return new Response(body, {
    headers: { "content-type": "text/event-stream", "cache-control": "no-store", "x-accel-buffering": "no" },
  });
}

/** An answer as the page is told it: an ohmmeter's as ohms, any other as the figure of its kind. */
function shownAs(answer: string, measures: InstrumentKind): z.input<typeof meterValue>["shown"] | null {
  if (measures === "ohms") return shownOf(answer);
  const figure = figureOf(answer, measures);
  if (figure === null) return null;
  return figure === "open" ? { open: true } : { figure };
}
