import { handInMotor, practiceResults } from "@/contract";
import { database } from "@/server/database";
import { workedOut } from "@/server/heavy";
import { practiceStore } from "@/server/practiceStore";
import { Problem } from "@/server/problem";
import { served, serveRoutes } from "@/server/serveRoutes";

const MOST_LINES = 200;
const MOST_PEOPLE = 200;

export const { GET, POST, PUT, DELETE, PATCH, HEAD, OPTIONS } = serveRoutes(
  served(practiceResults, async ({ query, shop }) => {
    const store = practiceStore(database(), shop);
    return query.person === undefined
      ? { people: await store.people(MOST_PEOPLE) }
      : { results: await store.of(query.person, MOST_LINES) };
  }),
  served(handInMotor, async ({ body, shop, request }) => {
    const graded = await workedOut(request, "grade", body);
    if (graded instanceof Problem) return graded;
    await practiceStore(database(), shop).keep(body, graded);
    return { grade: graded };
  }),
);
