import { NextResponse } from "next/server";
import { z } from "zod";
import { faultsOf } from "@/core";
import { compartment } from "@/core/wiring";
import { database } from "@/server/database";
import { equipmentStore, MOST_EQUIPMENT } from "@/server/equipmentStore";
import { answer, problem, readJson } from "@/server/http";

interface Context {
  params: Promise<{ equipment: string }>;
}

/** Keeps a compartment for other jobs of the shop, or puts its new form in place of the old one. */
export function PUT(request: Request, { params }: Context): Promise<NextResponse> {
  return answer(request, async () => {
    const id = z.uuid().safeParse((await params).equipment);
    if (!id.success) return problem(404, "There is no such equipment.");
    const body = await readJson(request);
    if (!body.ok) return body.answer;
    const given = compartment.safeParse(body.json);
    if (!given.success)
      return problem(422, "The equipment does not hold together; nothing was kept.", {
        faults: faultsOf(given.error.issues),
      });
    if (!(await equipmentStore(database()).put(id.data, given.data)))
      return problem(409, `The shop keeps ${MOST_EQUIPMENT} of its own at the most: take one away first.`);
    return NextResponse.json({ kept: true });
  });
}

/** Takes one out of the shop's own equipment; jobs keep their copies. */
export function DELETE(request: Request, { params }: Context): Promise<NextResponse> {
  return answer(request, async () => {
    const id = z.uuid().safeParse((await params).equipment);
    if (!id.success || !(await equipmentStore(database()).remove(id.data)))
      return problem(404, "There is no such equipment.");
    return NextResponse.json({ removed: true });
  });
}
