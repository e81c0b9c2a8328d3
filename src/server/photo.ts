import sharp from "sharp";

/** A picture as it is kept. */
export interface UprightPhoto {
  readonly widthPx: number;
  readonly heightPx: number;
  readonly jpeg: Buffer;
}

/** The largest picture taken, in bytes: a full-size photo of a phone. */
export const MOST_PHOTO_BYTES = 15 * 1024 * 1024;
/** The most pixels that are unpacked: what a small file can blow up to is bounded. */
const MOST_PIXELS = 60_000_000;
/** Long side of what is kept: letters on a terminal stay legible. */
const KEPT_PX = 1800;
const QUALITY = 82;

/**
 * The picture turned upright by its own mark, brought to a size, and packed anew as JPEG, so that place, time and camera
 * that the file may name are gone. Null for what is no picture.
 */
export async function uprightPhoto(file: Buffer): Promise<UprightPhoto | null> {
  try {
    const { data, info } = await sharp(file, { limitInputPixels: MOST_PIXELS, failOn: "error" })
      .rotate()
      .resize({ width: KEPT_PX, height: KEPT_PX, fit: "inside", withoutEnlargement: true })
      .flatten({ background: "#ffffff" })
      .jpeg({ quality: QUALITY, mozjpeg: true })
      .toBuffer({ resolveWithObject: true });
    return { widthPx: info.width, heightPx: info.height, jpeg: data };
  } catch {
    return null;
  }
}
