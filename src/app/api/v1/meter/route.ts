import { NextResponse } from "next/server";
import { z } from "zod";
import { faultsOf, LEAD_LIMITS, readingSheet } from "@/core";
import { answer, problem, readJson } from "@/server/http";
import { attachMeter, NoMeterThere, openBench } from "@/server/instrument/attachedMeters";
import { type MeterAddress, meterAddress } from "@/server/instrument/meterAddress";

const lead = z
  .string()
  .min(1)
  .max(64)
  .regex(/^[^",\s]+$/, "a lead's id for the meter has no quotes, commas or spaces");
const atAddress = z.object({ address: meterAddress });
const bench = z.object({
  leads: z.array(lead).min(LEAD_LIMITS.fewest).max(LEAD_LIMITS.most),
  seed: z
    .number()
    .int()
    .min(0)
    .max(2 ** 32 - 1),
  meter: readingSheet.shape.meter,
});

/**
 * Attaches a meter: the one at an address of the own network, or the stand-in to a virtual motor with these leads, which
 * is put on the bench.
 */
export function POST(request: Request): Promise<NextResponse> {
  return answer(request, async () => {
    const body = await readJson(request);
    if (!body.ok) return body.answer;
    const real = atAddress.safeParse(body.json);
    if (real.success) return attachAt(real.data.address);
    const wantsAddress = typeof body.json === "object" && body.json !== null && "address" in body.json;
    if (wantsAddress)
      return problem(422, "That is no meter’s address.", { faults: faultsOf(real.error.issues) });
    const asked = bench.safeParse(body.json);
    if (!asked.success) {
      const faults = faultsOf(asked.error.issues);
      return problem(422, "No meter can be attached to that.", { faults });
    }
    const { id, identity } = await openBench(asked.data.leads, asked.data.seed, asked.data.meter);
    return NextResponse.json({ meter: id, identity }, { status: 201 });
  });
}

async function attachAt(address: MeterAddress): Promise<NextResponse> {
  try {
    const { id, identity } = await attachMeter(address);
    return NextResponse.json({ meter: id, identity }, { status: 201 });
  } catch (error) {
    if (!(error instanceof NoMeterThere)) throw error;
    return problem(
      422,
      error.why === "not-private"
        ? "A meter is looked for on this machine and the own network alone."
        : `Nothing answers as a meter at ${address.host}, port ${address.port}.`,
    );
  }
}
