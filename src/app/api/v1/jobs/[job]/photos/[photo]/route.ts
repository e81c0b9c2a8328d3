import { getPhoto, putPhoto } from "@/contract";
import { readBytes } from "@/server/body";
import { database } from "@/server/database";
import { MOST_PHOTO_BYTES, uprightPhoto } from "@/server/photo";
import { MOST_PHOTOS, photoStore } from "@/server/photoStore";
import { Problem } from "@/server/problem";
import { served, serveRoutes } from "@/server/serveRoutes";

export const { GET, POST, PUT, DELETE, PATCH, HEAD, OPTIONS } = serveRoutes(
  served(getPhoto, async ({ params, shop }) => {
    const jpeg = await photoStore(database(), shop).find(params.job, params.photo);
    if (!jpeg) return new Problem(404, "There is no such photo.");
    return new Response(new Uint8Array(jpeg), {
      headers: { "content-type": "image/jpeg", "x-content-type-options": "nosniff" },
    });
  }),
  served(putPhoto, async ({ params, shop, request }) => {
    const type = request.headers.get("content-type")?.toLowerCase() ?? "";
    if (!type.startsWith("image/")) return new Problem(415, "Send the photo itself, as an image.");
    const bytes = await readBytes(request, MOST_PHOTO_BYTES);
    if (bytes === null) return new Problem(413, `The photo is over ${MOST_PHOTO_BYTES / 1024 / 1024} MB.`);
    const photo = await uprightPhoto(bytes);
    if (!photo)
      return new Problem(
        422,
        "This is no picture that can be read. JPEG, PNG and WebP are; take it again or save it as one.",
      );
    const kept = await photoStore(database(), shop).add(params.job, params.photo, photo);
    if (!kept) return new Problem(409, `A job holds ${MOST_PHOTOS} photos. Take one away first.`);
    return { widthPx: photo.widthPx, heightPx: photo.heightPx };
  }),
);
