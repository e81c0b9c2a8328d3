import { NextResponse } from "next/server";
import { z } from "zod";
import { faultsOf, LEAD_LIMITS, readingSheet } from "@/core";
import { answer, problem, readJson } from "@/server/http";
import { openBench } from "@/server/instrument/virtualBench";

const lead = z
  .string()
  .min(1)
  .max(64)
  .regex(/^[^",\s]+$/, "a lead's id for the meter has no quotes, commas or spaces");
const bench = z.object({
  leads: z.array(lead).min(LEAD_LIMITS.fewest).max(LEAD_LIMITS.most),
  seed: z
    .number()
    .int()
    .min(0)
    .max(2 ** 32 - 1),
  meter: readingSheet.shape.meter,
});

/** Puts a virtual motor with these leads on the bench and attaches the stand-in meter to it. */
export function POST(request: Request): Promise<NextResponse> {
  return answer(request, async () => {
    const body = await readJson(request);
    if (!body.ok) return body.answer;
    const asked = bench.safeParse(body.json);
    if (!asked.success) {
      const faults = faultsOf(asked.error.issues);
      return problem(422, "No meter can be attached to that.", { faults });
    }
    const { id, identity } = await openBench(asked.data.leads, asked.data.seed, asked.data.meter);
    return NextResponse.json({ meter: id, identity }, { status: 201 });
  });
}
