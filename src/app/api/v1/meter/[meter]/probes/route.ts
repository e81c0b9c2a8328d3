import type { z } from "zod";
import { moveProbes } from "@/contract";
import { callLine, configureLine, eyeLine, placeLine } from "@/core/bench";
import { instrumentFor } from "@/core/proving";
import { attachedMeter } from "@/server/instrument/attachedMeters";
import { Problem } from "@/server/problem";
import { served, serveRoutes } from "@/server/serveRoutes";

export const { GET, POST, PUT, DELETE, PATCH, HEAD, OPTIONS } = serveRoutes(
  served(moveProbes, async ({ params, body }) => {
    const meter = attachedMeter(params.meter);
    if (!meter) return new Problem(404, "That meter is no longer attached.");
    meter.touch = body.touch;
    // A real meter's probes are in somebody's hands: what it shows from here on is of this touch.
    if ("check" in body) {
      meter.measures = instrumentFor(body.check.what) ?? meter.measures;
      meter.scpi.command(configureLine(meter.measures));
    }
    if (!meter.standIn) return { touched: true as const };
    for (const line of linesOf(body)) meter.scpi.command(line);
    const error = await meter.scpi.query("SYST:ERR?");
    if (!error.startsWith("0,")) return new Problem(422, "The meter refused that.", { detail: error });
    const eye = "check" in body ? eyeLine(body.check) : null;
    const seen = eye ? (await meter.scpi.query(eye)).replaceAll('"', "") : null;
    return { touched: true as const, ...(seen ? { seen } : {}) };
  }),
);

function linesOf(to: z.output<NonNullable<typeof moveProbes.body>>): readonly string[] {
  if ("lifted" in to) return ["ROUT:REL"];
  if ("shell" in to) return [`ROUT:TOUC "${to.shell}",SHELL`];
  if ("tips" in to) return [`ROUT:TOUC "${to.tips}","${to.tips}"`];
  if ("check" in to) return [callLine(to.check), placeLine(to.check)];
  return [`ROUT:TOUC ${to.between.map((id) => `"${id}"`).join()}`];
}
