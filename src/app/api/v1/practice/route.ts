import { NextResponse } from "next/server";
import { z } from "zod";
import { faultsOf } from "@/core";
import { grade, handedIn } from "@/core/practice";
import { database } from "@/server/database";
import { answer, problem, readJson } from "@/server/http";
import { practiceStore } from "@/server/practiceStore";

const MOST_LINES = 200;
const MOST_PEOPLE = 200;

const person = z.string().trim().min(1).max(40);

/** Who has practised; with `person`, that person's results, oldest first. */
export function GET(request: Request): Promise<NextResponse> {
  return answer(request, async () => {
    const store = practiceStore(database());
    const asked = new URL(request.url).searchParams.get("person");
    if (asked === null) return NextResponse.json({ people: await store.people(MOST_PEOPLE) });
    const name = person.safeParse(asked);
    if (!name.success) return problem(422, "A person's name has 1 to 40 letters.");
    return NextResponse.json({ results: await store.of(name.data, MOST_LINES) });
  });
}

/** Grades what a learner hands in and keeps the result. */
export function POST(request: Request): Promise<NextResponse> {
  return answer(request, async () => {
    const body = await readJson(request);
    if (!body.ok) return body.answer;
    const given = handedIn.safeParse(body.json);
    if (!given.success)
      return problem(422, "What was handed in does not hold together; nothing was kept.", {
        faults: faultsOf(given.error.issues),
      });
    const graded = grade(given.data);
    await practiceStore(database()).keep(given.data, graded);
    return NextResponse.json({ grade: graded });
  });
}
