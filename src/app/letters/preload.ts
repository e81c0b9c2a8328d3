import { preload } from "react-dom";
import mono from "./mono.woff2";
import text from "./text.woff2";

const preloadFace = (file: string) =>
  preload(file, { as: "font", type: "font/woff2", crossOrigin: "anonymous" });

/** Asks for the letters of running text before the style sheet does: for a part of every page. */
export const preloadText = () => preloadFace(text);

/** Asks for the letters of codes and readings: for a part of the pages that show some. */
export const preloadMono = () => preloadFace(mono);
