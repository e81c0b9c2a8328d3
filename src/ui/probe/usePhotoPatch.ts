"use client";

import { type RefObject, useCallback, useRef, useState } from "react";
import { patchColour, type Rgb } from "@/core";

/** A place on a picture, as shares of its width and height. */
export interface Spot {
  readonly x: number;
  readonly y: number;
}

/** The picture is kept no wider than this, pixels: a wire is still a dozen of them. */
const MOST_WIDTH = 1600;
/** Half the side of the patch under a finger, of the picture's width. */
const PATCH_SHARE = 0.004;
const LEAST_PATCH = 2;

/** A picture on a canvas of this page alone, and the color under a touch of it. Nothing is sent anywhere. */
export function usePhotoPatch(): {
  readonly canvas: RefObject<HTMLCanvasElement | null>;
  readonly has: boolean;
  readonly fault: string;
  readonly load: (file: File) => Promise<void>;
  readonly colourAt: (spot: Spot) => Rgb | null;
} {
  const canvas = useRef<HTMLCanvasElement>(null);
  const [has, setHas] = useState(false);
  const [fault, setFault] = useState("");
  const load = useCallback(async (file: File) => {
    setFault("");
    try {
      const picture = await createImageBitmap(file);
      const scale = Math.min(1, MOST_WIDTH / picture.width);
      const drawn = canvas.current;
      const context = drawn?.getContext("2d", { willReadFrequently: true });
      if (!drawn || !context) return;
      drawn.width = Math.max(1, Math.round(picture.width * scale));
      drawn.height = Math.max(1, Math.round(picture.height * scale));
      context.drawImage(picture, 0, 0, drawn.width, drawn.height);
      picture.close();
      setHas(true);
    } catch {
      setFault(
        `“${file.name}” is no picture that this browser can show. Take a photo, or choose a JPEG or PNG.`,
      );
    }
  }, []);
  const colourAt = useCallback(({ x, y }: Spot) => {
    const drawn = canvas.current;
    const context = drawn?.getContext("2d");
    if (!drawn || !context) return null;
    const half = Math.max(LEAST_PATCH, Math.round(drawn.width * PATCH_SHARE));
    const left = Math.max(0, Math.round(x * drawn.width) - half);
    const top = Math.max(0, Math.round(y * drawn.height) - half);
    const width = Math.min(2 * half + 1, drawn.width - left);
    const height = Math.min(2 * half + 1, drawn.height - top);
    return width > 0 && height > 0 ? patchColour(context.getImageData(left, top, width, height).data) : null;
  }, []);
  return { canvas, has, fault, load, colourAt };
}
