import type { MetadataRoute } from "next";

/** How the application stands on a home screen. */
export default function manifest(): MetadataRoute.Manifest {
  return {
    id: "/",
    name: "Odd Lead",
    short_name: "Odd Lead",
    description: "Which motor lead is which, from winding resistance, and where each goes.",
    start_url: "/",
    scope: "/",
    display: "standalone",
    background_color: "#faf5ea",
    theme_color: "#faf5ea",
    icons: [
      { src: "/icons/odd-lead-192.png", sizes: "192x192", type: "image/png" },
      { src: "/icons/odd-lead-512.png", sizes: "512x512", type: "image/png" },
      { src: "/icons/odd-lead-512.png", sizes: "512x512", type: "image/png", purpose: "maskable" },
    ],
  };
}
