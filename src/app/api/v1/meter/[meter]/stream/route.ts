import { streamMeter } from "@/contract";
import { database } from "@/server/database";
import { attachedMeters } from "@/server/instrument/attachedMeters";
import { meterStream } from "@/server/instrument/meterStream";
import { takeStream } from "@/server/instrument/openStreams";
import { Problem } from "@/server/problem";
import { clientOf } from "@/server/rateLimit";
import { served, serveRoutes } from "@/server/serveRoutes";

export const { GET, POST, PUT, DELETE, PATCH, HEAD, OPTIONS } = serveRoutes(
  served(streamMeter, async ({ params, request }) => {
    const meters = attachedMeters(database());
    if (!(await meters.find(params.meter))) return new Problem(404, "That meter is no longer attached.");
    const giveBack = takeStream(clientOf(request));
    if (!giveBack)
      return new Problem(
        429,
        "As many meters are being read as can be; close one of the pages that read one.",
      );
    return meterStream(meters, params.meter, request, giveBack);
  }),
);
