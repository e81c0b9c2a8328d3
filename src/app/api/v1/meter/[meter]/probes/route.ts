import type * as z from "zod/mini";
import { moveProbes } from "@/contract";
import { callLine, configureLine, eyeLine, placeLine } from "@/core/bench";
import { instrumentFor } from "@/core/proving";
import { database } from "@/server/database";
import { type AttachedMeter, attachedMeters } from "@/server/instrument/attachedMeters";
import { Problem } from "@/server/problem";
import { served, serveRoutes } from "@/server/serveRoutes";

type To = z.output<NonNullable<typeof moveProbes.body>>;

export const { GET, POST, PUT, DELETE, PATCH, HEAD, OPTIONS } = serveRoutes(
  served(moveProbes, async ({ params, body }) => {
    const meters = attachedMeters(database());
    const meter = await meters.find(params.meter);
    if (!meter) return gone();
    const measures = "check" in body ? (instrumentFor(body.check.what) ?? meter.measures) : meter.measures;
    return (await meters.moved(meter.id, body.touch, measures, () => put(meter, body, measures))) ?? gone();
  }),
);

function gone() {
  return new Problem(404, "That meter is no longer attached.");
}

/** A real meter's probes are in somebody's hands: what it shows from here on is of this touch. */
async function put({ scpi, standIn }: AttachedMeter, body: To, measures: AttachedMeter["measures"]) {
  if ("check" in body) scpi.command(configureLine(measures));
  if (!standIn) return { touched: true as const };
  for (const line of linesOf(body)) scpi.command(line);
  const error = await scpi.query("SYST:ERR?");
  if (!error.startsWith("0,")) return new Problem(422, "The meter refused that.", { detail: error });
  const eye = "check" in body ? eyeLine(body.check) : null;
  const seen = eye ? (await scpi.query(eye)).replaceAll('"', "") : null;
  return { touched: true as const, ...(seen ? { seen } : {}) };
}

function linesOf(to: To): readonly string[] {
  if ("lifted" in to) return ["ROUT:REL"];
  if ("shell" in to) return [`ROUT:TOUC "${to.shell}",SHELL`];
  if ("tips" in to) return [`ROUT:TOUC "${to.tips}","${to.tips}"`];
  if ("check" in to) return [callLine(to.check), placeLine(to.check)];
  return [`ROUT:TOUC ${to.between.map((id) => `"${id}"`).join()}`];
}
