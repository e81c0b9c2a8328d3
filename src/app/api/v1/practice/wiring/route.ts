import { handInWiring, wiringResults } from "@/contract";
import { gradeWiring, wiringTask } from "@/core/practice";
import { database } from "@/server/database";
import { practiceStore } from "@/server/practiceStore";
import { served, serveRoutes } from "@/server/serveRoutes";

const MOST_LINES = 100;

export const { GET, POST, PUT, DELETE, PATCH, HEAD, OPTIONS } = serveRoutes(
  served(wiringResults, async ({ query, shop }) => ({
    results: await practiceStore(database(), shop).wiringsOf(query.person, MOST_LINES),
  })),
  served(handInWiring, async ({ body, shop }) => {
    const grade = gradeWiring(body);
    const { compartment } = wiringTask(body.seed, body.wish);
    await practiceStore(database(), shop).keepWiring(body, compartment.title, grade);
    return { grade };
  }),
);
