import { handInWiring, wiringResults } from "@/contract";
import { database } from "@/server/database";
import { workedOut } from "@/server/heavy";
import { practiceStore } from "@/server/practiceStore";
import { Problem } from "@/server/problem";
import { served, serveRoutes } from "@/server/serveRoutes";

const MOST_LINES = 100;

export const { GET, POST, PUT, DELETE, PATCH, HEAD, OPTIONS } = serveRoutes(
  served(wiringResults, async ({ query, shop }) => ({
    results: await practiceStore(database(), shop).wiringsOf(query.person, MOST_LINES),
  })),
  served(handInWiring, async ({ body, shop, request }) => {
    const graded = await workedOut(request, "gradedWiring", body);
    if (graded instanceof Problem) return graded;
    const { grade, equipment } = graded;
    await practiceStore(database(), shop).keepWiring(body, equipment, grade);
    return { grade };
  }),
);
