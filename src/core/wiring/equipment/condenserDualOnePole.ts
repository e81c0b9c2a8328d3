import type { Equipment } from "../equipmentEntry";
import { condenserDual } from "./condenserDual";
import { contact } from "./parts";

/** The same on a one-pole contactor: the other leg goes through it unbroken, and is live always. */
export const condenserDualOnePole: Equipment = {
  place: 20,
  meantFor: [{ family: "two-winding", leads: [3, 4] }],
  made: {
    ...condenserDual.made,
    id: "condenser-dual-one-pole",
    title: "Condenser, dual capacitor, one-pole contactor",
    devices: condenserDual.made.devices.map((device) =>
      device.id === "contactor"
        ? {
            ...device,
            parts: [
              contact("contactor.pole", "L1", "contactor.T1", ["cool"]),
              contact("contactor.shunt", "L2", "contactor.T2", "always"),
            ],
          }
        : device,
    ),
    cautions: [
      ...condenserDual.made.cautions,
      "A one-pole contactor: T2 and what hangs on it stay live with the contactor open.",
    ],
  },
};
