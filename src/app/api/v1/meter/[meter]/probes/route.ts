import type { z } from "zod";
import { moveProbes } from "@/contract";
import { attachedMeter } from "@/server/instrument/attachedMeters";
import { Problem } from "@/server/problem";
import { served, serveRoutes } from "@/server/serveRoutes";

export const { GET, POST, PUT, DELETE, PATCH, HEAD, OPTIONS } = serveRoutes(
  served(moveProbes, async ({ params, body }) => {
    const meter = attachedMeter(params.meter);
    if (!meter) return new Problem(404, "That meter is no longer attached.");
    meter.touch = body.touch;
    // A real meter's probes are in somebody's hands: what it shows from here on is of this touch.
    if (!meter.standIn) return { touched: true as const };
    meter.client.command(commandOf(body));
    const error = await meter.client.query("SYST:ERR?");
    if (!error.startsWith("0,")) return new Problem(422, "The meter refused that.", { detail: error });
    return { touched: true as const };
  }),
);

function commandOf(to: z.output<NonNullable<typeof moveProbes.body>>): string {
  if ("lifted" in to) return "ROUT:REL";
  if ("shell" in to) return `ROUT:TOUC "${to.shell}",SHELL`;
  if ("tips" in to) return `ROUT:TOUC "${to.tips}","${to.tips}"`;
  return `ROUT:TOUC ${to.between.map((id) => `"${id}"`).join()}`;
}
