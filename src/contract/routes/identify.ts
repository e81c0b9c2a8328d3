import { identification, readingSheet } from "@/core";
import { route } from "../route";

export const identifyLeads = route({
  id: "identifyLeads",
  method: "POST",
  path: "/api/v1/identify",
  summary: "Identify a motor’s leads from a sheet of readings",
  body: readingSheet,
  refused: "The sheet does not hold together.",
  answer: identification,
  example: {
    format: "odd-lead/reading-sheet@1",
    leads: [
      { id: "a", colour: "white" },
      { id: "b", colour: "black" },
      { id: "c", colour: "brown" },
    ],
    readings: [
      { between: ["a", "b"], ohms: 8.2 },
      { between: ["b", "c"], ohms: 13.9 },
      { between: ["a", "c"], ohms: 22 },
    ],
    frame: [{ lead: "a", open: true }],
  },
});
