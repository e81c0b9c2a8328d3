import { NextResponse } from "next/server";
import { database } from "@/server/database";
import { answer } from "@/server/http";
import { jobStore } from "@/server/jobStore";

const MOST_LISTED = 200;

/** The shop's jobs by name and day, latest first: what a later sheet of the same motor is chosen from. */
export function GET(request: Request): Promise<NextResponse> {
  return answer(request, async () => {
    const jobs = await jobStore(database()).titles(MOST_LISTED);
    return NextResponse.json({ jobs });
  });
}
