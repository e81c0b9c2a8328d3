import { shownOf } from "@/core/bench";
import { problem } from "@/server/http";
import { attachedMeter } from "@/server/instrument/attachedMeters";
import { log } from "@/server/log";

interface Context {
  params: Promise<{ meter: string }>;
}

const READ_MS = 200;
/** A page that stays away longer attaches again. */
const LONGEST_MS = 30 * 60_000;

/** What the meter shows, five times a second, as server-sent events, until the page goes away. */
export async function GET(request: Request, { params }: Context): Promise<Response> {
  const { meter: id } = await params;
  if (!attachedMeter(id)) return problem(404, "That meter is no longer attached.");
  const text = new TextEncoder();
  const until = Date.now() + LONGEST_MS;
  let timer: ReturnType<typeof setTimeout>;
  const stop = () => clearTimeout(timer);
  const body = new ReadableStream<Uint8Array>({
    start(controller) {
      const next = async () => {
        const meter = attachedMeter(id);
        if (!meter || request.signal.aborted || Date.now() > until) {
          controller.close();
          return;
        }
        try {
          const { touch } = meter;
          const shown = shownOf(await meter.client.query("READ?"));
          if (request.signal.aborted) return;
          // A value asked for before the probes moved is of neither place.
          if (shown && touch === meter.touch)
            controller.enqueue(text.encode(`data: ${JSON.stringify({ touch, shown })}\n\n`));
          timer = setTimeout(next, READ_MS);
        } catch (error) {
          log.warn({ err: error }, "a bench meter stopped answering");
          controller.close();
        }
      };
      void next();
    },
    cancel: stop,
  });
  request.signal.addEventListener("abort", stop);
  return new Response(body, {
    headers: { "content-type": "text/event-stream", "cache-control": "no-store", "x-accel-buffering": "no" },
  });
}
