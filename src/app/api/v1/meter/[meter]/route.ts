import { NextResponse } from "next/server";
import { answer } from "@/server/http";
import { closeBench } from "@/server/instrument/virtualBench";

interface Context {
  params: Promise<{ meter: string }>;
}

/** Takes the meter off the bench; one that is gone already is no error. */
export function DELETE(request: Request, { params }: Context): Promise<NextResponse> {
  return answer(request, async () => {
    closeBench((await params).meter);
    return NextResponse.json({ closed: true });
  });
}
