import { and, asc, desc, eq, sql } from "drizzle-orm";
import type { Grade, HandedIn } from "@/core/practice";
import type { Database } from "./database";
import { FIRST_SHOP } from "./jobStore";
import { practiceResults } from "./schema";

/** One practice motor in a person's list of progress. */
export interface PracticeLine {
  readonly id: string;
  readonly at: string;
  readonly family: string;
  readonly fault: string;
  readonly difficulty: string;
  readonly leadCount: number;
  readonly leadsRight: number;
  readonly isRight: boolean;
  readonly readingsTaken: number;
  readonly readingsNeeded: number;
}

/** Practice results of one shop, kept per person. */
export function practiceStore(db: Database, shopId: string = FIRST_SHOP) {
  return {
    /** Keeps a result; handing the same one in twice keeps it once. */
    async keep(given: HandedIn, grade: Grade): Promise<void> {
      await db
        .insert(practiceResults)
        .values({
          shopId,
          id: given.id,
          person: given.person,
          seed: given.seed,
          family: grade.truth.family,
          fault: grade.truth.fault,
          difficulty: given.wish.difficulty,
          leadCount: grade.leadsRight.length + grade.leadsWrong.length,
          leadsRight: grade.leadsRight.length,
          isRight: grade.right,
          readingsTaken: grade.readingsTaken,
          readingsNeeded: grade.readingsNeeded,
          given,
        })
        .onConflictDoNothing();
    },

    /** A person's latest results, oldest first. */
    async of(person: string, most: number): Promise<PracticeLine[]> {
      const rows = await db
        .select()
        .from(practiceResults)
        .where(and(eq(practiceResults.shopId, shopId), eq(practiceResults.person, person)))
        .orderBy(desc(practiceResults.at), desc(practiceResults.id))
        .limit(most);
      return rows.reverse().map(({ shopId: _, seed: __, given: ___, person: ____, at, ...line }) => ({
        ...line,
        at: new Date(at).toISOString(),
      }));
    },

    /** Everyone who has practised, by name. */
    async people(most: number): Promise<string[]> {
      const rows = await db
        .select({ person: practiceResults.person, last: sql`max(${practiceResults.at})` })
        .from(practiceResults)
        .where(eq(practiceResults.shopId, shopId))
        .groupBy(practiceResults.person)
        .orderBy(asc(practiceResults.person))
        .limit(most);
      return rows.map(({ person }) => person);
    },
  };
}
