import { NextResponse } from "next/server";
import { z } from "zod";
import { factUpload, faultsOf } from "@/core";
import { database } from "@/server/database";
import { answer, problem, readJson } from "@/server/http";
import { jobStore } from "@/server/jobStore";

interface Context {
  params: Promise<{ job: string }>;
}

const jobId = z.uuid();
const after = z.coerce.number().int().min(0).default(0);

/** Facts of a job that arrived after a place in the order of arrival. */
export function GET(request: Request, { params }: Context): Promise<NextResponse> {
  return answer(request, async () => {
    const id = jobId.safeParse((await params).job);
    const from = after.safeParse(new URL(request.url).searchParams.get("after") ?? undefined);
    if (!id.success || !from.success) return problem(404, "There is no such job.");
    return NextResponse.json(await jobStore(database()).factsOf(id.data, from.data));
  });
}

/** Adds facts to a job, all or none. Idempotent by the facts' ids. */
export function POST(request: Request, { params }: Context): Promise<NextResponse> {
  return answer(request, async () => {
    const id = jobId.safeParse((await params).job);
    if (!id.success) return problem(404, "There is no such job.");
    const body = await readJson(request);
    if (!body.ok) return body.answer;
    const upload = factUpload.safeParse(body.json);
    if (!upload.success) {
      const faults = faultsOf(upload.error.issues);
      return problem(422, "A fact does not hold together; none was kept.", { faults });
    }
    await jobStore(database()).addFacts(id.data, upload.data.facts);
    return NextResponse.json({ kept: upload.data.facts.length });
  });
}
