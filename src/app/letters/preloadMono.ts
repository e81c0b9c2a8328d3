import { preload } from "react-dom";
import mono from "./mono.woff2";

/** Asks for the letters of codes and readings before the style sheet does: for pages that show some at once. */
export const preloadMono = () => preload(mono, { as: "font", type: "font/woff2", crossOrigin: "anonymous" });
