import { attachMeter } from "@/contract";
import { poweredBench } from "@/core/bench";
import { database } from "@/server/database";
import { type AttachedMeter, attachedMeters, NoMeterThere } from "@/server/instrument/attachedMeters";
import { Problem } from "@/server/problem";
import { clientOf } from "@/server/rateLimit";
import { served, serveRoutes } from "@/server/serveRoutes";

export const { GET, POST, PUT, DELETE, PATCH, HEAD, OPTIONS } = serveRoutes(
  served(attachMeter, async ({ body, request }) => {
    const client = clientOf(request);
    const meters = attachedMeters(database());
    if ("leads" in body) return named(await meters.openBench(client, body.leads, body.seed, body.meter));
    if ("bench" in body) {
      const made = poweredBench(body.bench, body.seed, body.fault);
      return made.ok
        ? named(await meters.openPowered(client, made.machine))
        : new Problem(422, "There is nothing to put under power.", { faults: made.faults });
    }
    try {
      return named(await meters.attachAt(client, body.address, body.measures));
    } catch (error) {
      if (!(error instanceof NoMeterThere)) throw error;
      const { host, port } = body.address;
      return new Problem(
        422,
        error.why === "not-private"
          ? "A meter is looked for on this machine and the own network alone."
          : `Nothing answers as a meter at ${host}, port ${port}.`,
      );
    }
  }),
);

function named({ id, identity }: AttachedMeter) {
  return { meter: id, identity };
}
