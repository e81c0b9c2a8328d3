import { diagnosis, provingSheet } from "@/core/proving";
import { route } from "../route";

export const diagnoseMotor = route({
  id: "diagnoseMotor",
  method: "POST",
  path: "/api/v1/diagnose",
  summary: "Say what is the matter with a motor under power, and what to check next",
  body: provingSheet,
  refused: "The sheet does not hold together.",
  answer: diagnosis,
  example: {
    format: "odd-lead/proving-sheet@1",
    motor: {
      plate: { power: "1/4", speed: "1075", volts: "208-230", amps: "1.9", runCapacitor: "5/370" },
      identification: {
        family: "two-winding",
        roles: { wh: { role: "run-end" }, bk: { role: "speed", rank: 1 }, bn: { role: "start-end" } },
        bonded: [],
        sections: [
          { between: ["wh", "bk"], ohms: 13, uncertaintyOhms: 0.3, winding: "main" },
          { between: ["bk", "bn"], ohms: 35, uncertaintyOhms: 0.6, winding: "start" },
        ],
      },
    },
    wiring: { equipment: "condenser-dual" },
    load: { kind: "fan" },
    observations: [{ call: "cool", what: "starts", how: "itself" }],
  },
});
