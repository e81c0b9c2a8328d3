import { NextResponse } from "next/server";
import { z } from "zod";
import { faultsOf } from "@/core";
import { answer, problem, readJson } from "@/server/http";
import { attachedMeter } from "@/server/instrument/attachedMeters";

interface Context {
  params: Promise<{ meter: string }>;
}

const lead = z
  .string()
  .max(64)
  .regex(/^[^",\s]+$/);
/** The caller's own number for this touch; values in the stream carry it. */
const touch = z.number().int().min(0).default(0);
const probes = z.union([
  z.object({ between: z.tuple([lead, lead]), touch }),
  z.object({ shell: lead, touch }),
  z.object({ lifted: z.literal(true), touch }),
  /** The tips together, on one lead. */
  z.object({ tips: lead, touch }),
]);

/** Puts the virtual meter's probes on two leads, on a lead and the shell, or lifts them. */
export function POST(request: Request, { params }: Context): Promise<NextResponse> {
  return answer(request, async () => {
    const meter = attachedMeter((await params).meter);
    if (!meter) return problem(404, "That meter is no longer attached.");
    const body = await readJson(request);
    if (!body.ok) return body.answer;
    const asked = probes.safeParse(body.json);
    if (!asked.success)
      return problem(422, "The probes cannot be put there.", { faults: faultsOf(asked.error.issues) });
    meter.touch = asked.data.touch;
    // A real meter's probes are in somebody's hands: what it shows from here on is of this touch.
    if (!meter.standIn) return NextResponse.json({ touched: true });
    if ("lifted" in asked.data) meter.client.command("ROUT:REL");
    else if ("shell" in asked.data) meter.client.command(`ROUT:TOUC "${asked.data.shell}",SHELL`);
    else if ("tips" in asked.data)
      meter.client.command(`ROUT:TOUC "${asked.data.tips}","${asked.data.tips}"`);
    else meter.client.command(`ROUT:TOUC ${asked.data.between.map((id) => `"${id}"`).join()}`);
    const error = await meter.client.query("SYST:ERR?");
    if (!error.startsWith("0,")) return problem(422, "The meter refused that.", { detail: error });
    return NextResponse.json({ touched: true });
  });
}
