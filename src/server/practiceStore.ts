import { and, asc, desc, eq, sql } from "drizzle-orm";
import type { FaultLine, PracticeLine, WiringLine } from "@/contract";
import type {
  Complaint,
  FaultGrade,
  FaultHandedIn,
  Grade,
  HandedIn,
  WiringGrade,
  WiringHandedIn,
} from "@/core/practice";
import type { Database } from "./database";
import { faultResults, practiceResults, wiringResults } from "./schema";

/** Practice results of one shop, kept per person. */
export function practiceStore(db: Database, shopId: string) {
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

    /** Keeps a wiring handed in; the same one twice is kept once. */
    async keepWiring(given: WiringHandedIn, equipment: string, { right }: WiringGrade): Promise<void> {
      await db
        .insert(wiringResults)
        .values({
          shopId,
          id: given.id,
          person: given.person,
          task: given.wish.task,
          equipment,
          isRight: right,
          given,
        })
        .onConflictDoNothing();
    },

    /** A person's latest wirings, oldest first. */
    async wiringsOf(person: string, most: number): Promise<WiringLine[]> {
      const rows = await db
        .select()
        .from(wiringResults)
        .where(and(eq(wiringResults.shopId, shopId), eq(wiringResults.person, person)))
        .orderBy(desc(wiringResults.at), desc(wiringResults.id))
        .limit(most);
      return rows.reverse().map(({ id, at, task, equipment, isRight }) => ({
        id,
        at: new Date(at).toISOString(),
        task,
        equipment,
        isRight,
      }));
    },

    /** Keeps a fault handed in; the same one twice is kept once. */
    async keepFault(
      given: FaultHandedIn,
      { equipment, complaint }: { readonly equipment: string; readonly complaint: Complaint },
      { right, truth, minutes, bestMinutes, dangers }: FaultGrade,
    ): Promise<void> {
      await db
        .insert(faultResults)
        .values({
          shopId,
          id: given.id,
          person: given.person,
          equipment,
          complaint,
          cause: truth.cause,
          isRight: right,
          minutes,
          bestMinutes,
          dangers: dangers.length,
          given,
        })
        .onConflictDoNothing();
    },

    /** A person's latest faults, oldest first. */
    async faultsOf(person: string, most: number): Promise<FaultLine[]> {
      const rows = await db
        .select()
        .from(faultResults)
        .where(and(eq(faultResults.shopId, shopId), eq(faultResults.person, person)))
        .orderBy(desc(faultResults.at), desc(faultResults.id))
        .limit(most);
      return rows.reverse().map(({ shopId: _, person: __, given: ___, at, ...line }) => ({
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
