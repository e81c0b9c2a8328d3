import { faultResults, handInFault } from "@/contract";
import { database } from "@/server/database";
import { workedOut } from "@/server/heavy";
import { practiceStore } from "@/server/practiceStore";
import { Problem } from "@/server/problem";
import { served, serveRoutes } from "@/server/serveRoutes";

const MOST_LINES = 100;

export const { GET, POST, PUT, DELETE, PATCH, HEAD, OPTIONS } = serveRoutes(
  served(faultResults, async ({ query, shop }) => ({
    results: await practiceStore(database(), shop).faultsOf(query.person, MOST_LINES),
  })),
  served(handInFault, async ({ body, shop, request }) => {
    const graded = await workedOut(request, "gradedFault", body);
    if (graded instanceof Problem) return graded;
    const { grade, about } = graded;
    await practiceStore(database(), shop).keepFault(body, about, grade);
    return { grade };
  }),
);
