"use client";

import { useEffect } from "react";
import { beginNewBuild, holdBuild } from "./buildsOpen";

/** Has the browser keep this build of the application on the device, so that it opens without a server. */
export function KeepApplication() {
  useEffect(() => {
    const build = process.env.ODD_LEAD_BUILD;
    if (process.env.NODE_ENV !== "production" || !build || !("serviceWorker" in navigator)) return;
    holdBuild(build);
    // After the page is usable: what is kept comes over the same line.
    const register = () => {
      void navigator.serviceWorker
        .register(`/sw.js?build=${build}`, { updateViaCache: "none" })
        .then((registration) => beginNewBuild(registration, build))
        .catch(() => undefined);
    };
    if (document.readyState === "complete") register();
    else window.addEventListener("load", register, { once: true });
    return () => window.removeEventListener("load", register);
  }, []);
  return null;
}
