import { NextResponse } from "next/server";
import { z } from "zod";
import { database } from "@/server/database";
import { answer, problem, readBytes } from "@/server/http";
import { MOST_PHOTO_BYTES, uprightPhoto } from "@/server/photo";
import { MOST_PHOTOS, photoStore } from "@/server/photoStore";

interface Context {
  params: Promise<{ job: string; photo: string }>;
}

const ids = z.object({ job: z.uuid(), photo: z.uuid() });

/** The picture, upright, as JPEG. It never changes under its id. */
export function GET(request: Request, { params }: Context): Promise<NextResponse> {
  return answer(request, async () => {
    const id = ids.safeParse(await params);
    const jpeg = id.success ? await photoStore(database()).find(id.data.job, id.data.photo) : null;
    if (!jpeg) return problem(404, "There is no such photo.");
    return new NextResponse(new Uint8Array(jpeg), {
      headers: { "content-type": "image/jpeg", "x-content-type-options": "nosniff" },
    });
  });
}

/** Keeps a picture under an id made where it was taken. Idempotent. */
export function PUT(request: Request, { params }: Context): Promise<NextResponse> {
  return answer(request, async () => {
    const id = ids.safeParse(await params);
    if (!id.success) return problem(404, "There is no such job.");
    const type = request.headers.get("content-type")?.toLowerCase() ?? "";
    if (!type.startsWith("image/")) return problem(415, "Send the photo itself, as an image.");
    const bytes = await readBytes(request, MOST_PHOTO_BYTES);
    if (bytes === null) return problem(413, `The photo is over ${MOST_PHOTO_BYTES / 1024 / 1024} MB.`);
    const photo = await uprightPhoto(bytes);
    if (!photo)
      return problem(
        422,
        "This is no picture that can be read. JPEG, PNG and WebP are; take it again or save it as one.",
      );
    const kept = await photoStore(database()).add(id.data.job, id.data.photo, photo);
    if (!kept) return problem(409, `A job holds ${MOST_PHOTOS} photos. Take one away first.`);
    return NextResponse.json({ widthPx: photo.widthPx, heightPx: photo.heightPx });
  });
}
