import sharp from "sharp";
import { isPlainJpeg } from "./keptJpeg";
import { Queue } from "./queue";

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
/** Longer than this no honest picture takes. */
const MOST_SECONDS = 15;

/** Pictures unpacked at a time and waiting for it: each may take some hundred megabytes for a moment. */
const unpacking = new Queue({ atATime: 2, waiting: 30 });

/** The first bytes of the kinds of picture that a camera or a screen makes. Drawings and pages are none. */
const RASTERS: readonly ((file: Buffer) => boolean)[] = [
  (file) => file.subarray(0, 3).equals(Buffer.from([0xff, 0xd8, 0xff])),
  (file) => file.subarray(0, 8).equals(Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a])),
  (file) => /^GIF8[79]a$/.test(file.toString("latin1", 0, 6)),
  (file) => file.toString("latin1", 0, 4) === "RIFF" && file.toString("latin1", 8, 12) === "WEBP",
  (file) => /^ftyp(avif|avis|heic|heix|mif1|msf1)$/.test(file.toString("latin1", 4, 12)),
];

/**
 * The picture turned upright by its own mark, brought to a size, and packed anew as JPEG, so that place, time and camera
 * that the file may name are gone; one that is packed so already stays as it is. Null for what is no picture, told by its content and not by its name. Throws
 * {@link QueueFull} where too many are waiting.
 */
export async function uprightPhoto(file: Buffer): Promise<UprightPhoto | null> {
  if (!RASTERS.some((isOne) => isOne(file))) return null;
  return unpacking.run(() => unpacked(file));
}

async function unpacked(file: Buffer): Promise<UprightPhoto | null> {
  try {
    if (isPlainJpeg(file)) {
      // Unpacked all the same: what cannot be shown is not kept.
      const { info } = await sharp(file, { limitInputPixels: MOST_PIXELS, failOn: "error" })
        .timeout({ seconds: MOST_SECONDS })
        .raw()
        .toBuffer({ resolveWithObject: true });
      if (Math.max(info.width, info.height) <= KEPT_PX)
        return { widthPx: info.width, heightPx: info.height, jpeg: file };
    }
    const { data, info } = await sharp(file, { limitInputPixels: MOST_PIXELS, failOn: "error" })
      .timeout({ seconds: MOST_SECONDS })
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
