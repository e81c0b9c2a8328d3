import { NextResponse } from "next/server";
import { answer } from "@/server/http";
import { detach } from "@/server/instrument/attachedMeters";

interface Context {
  params: Promise<{ meter: string }>;
}

/** Takes the meter off the bench; one that is gone already is no error. */
export function DELETE(request: Request, { params }: Context): Promise<NextResponse> {
  return answer(request, async () => {
    detach((await params).meter);
    return NextResponse.json({ closed: true });
  });
}
