import { attachMeter } from "@/contract";
import { type AttachedMeter, attachAt, NoMeterThere, openBench } from "@/server/instrument/attachedMeters";
import { Problem } from "@/server/problem";
import { served, serveRoutes } from "@/server/serveRoutes";

export const { GET, POST, PUT, DELETE, PATCH, HEAD, OPTIONS } = serveRoutes(
  served(attachMeter, async ({ body }) => {
    if (!("address" in body)) return named(await openBench(body.leads, body.seed, body.meter));
    try {
      return named(await attachAt(body.address));
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
