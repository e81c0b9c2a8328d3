import { streamMeter } from "@/contract";
import { attachedMeter } from "@/server/instrument/attachedMeters";
import { meterStream } from "@/server/instrument/meterStream";
import { Problem } from "@/server/problem";
import { served, serveRoutes } from "@/server/serveRoutes";

export const { GET, POST, PUT, DELETE, PATCH, HEAD, OPTIONS } = serveRoutes(
  served(streamMeter, ({ params, request }) =>
    attachedMeter(params.meter)
      ? meterStream(params.meter, request)
      : new Problem(404, "That meter is no longer attached."),
  ),
);
