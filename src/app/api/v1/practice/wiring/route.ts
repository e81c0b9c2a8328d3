import { NextResponse } from "next/server";
import { z } from "zod";
import { faultsOf } from "@/core";
import { gradeWiring, wiringHandedIn, wiringTask } from "@/core/practice";
import { database } from "@/server/database";
import { answer, problem, readJson } from "@/server/http";
import { practiceStore } from "@/server/practiceStore";

const MOST_LINES = 100;
const person = z.string().trim().min(1).max(40);

/** A person's wirings, oldest first. */
export function GET(request: Request): Promise<NextResponse> {
  return answer(request, async () => {
    const name = person.safeParse(new URL(request.url).searchParams.get("person") ?? "");
    if (!name.success) return problem(422, "A person's name has 1 to 40 letters.");
    return NextResponse.json({ results: await practiceStore(database()).wiringsOf(name.data, MOST_LINES) });
  });
}

/** Grades a wiring that a learner hands in and keeps the result. */
export function POST(request: Request): Promise<NextResponse> {
  return answer(request, async () => {
    const body = await readJson(request);
    if (!body.ok) return body.answer;
    const given = wiringHandedIn.safeParse(body.json);
    if (!given.success)
      return problem(422, "What was handed in does not hold together; nothing was kept.", {
        faults: faultsOf(given.error.issues),
      });
    const grade = gradeWiring(given.data);
    const { compartment } = wiringTask(given.data.seed, given.data.wish);
    await practiceStore(database()).keepWiring(given.data, compartment.title, grade);
    return NextResponse.json({ grade });
  });
}
