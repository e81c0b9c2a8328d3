import { NextResponse } from "next/server";
import { database } from "@/server/database";
import { answer } from "@/server/http";
import { pastNeeds } from "@/server/pastNeeds";
import { stockStore } from "@/server/stockStore";

const MOST_JOBS = 3000;

/** What past jobs asked for, and every part of stock and catalogue that might have served. */
export function GET(request: Request): Promise<NextResponse> {
  return answer(request, async () => {
    const [needs, lines] = await Promise.all([
      pastNeeds(database(), MOST_JOBS),
      stockStore(database()).all(),
    ]);
    return NextResponse.json({ needs, items: lines.map(({ item, onHand }) => ({ ...item, count: onHand })) });
  });
}
