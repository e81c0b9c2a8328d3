import { NextResponse } from "next/server";
import { database } from "@/server/database";
import { equipmentStore } from "@/server/equipmentStore";
import { answer } from "@/server/http";

/** The equipment that the shop built itself and keeps for other jobs. */
export function GET(request: Request): Promise<NextResponse> {
  return answer(request, async () =>
    NextResponse.json({ equipment: await equipmentStore(database()).list() }),
  );
}
