import type { Equipment } from "../equipmentEntry";
import { blade, contact, disconnect, GROUND_STUD, OWN_CAPACITOR, SUPPLY_230, singleCapacitor } from "./parts";

/** An air handler's fan relay on two lines. */
export const airHandlerRelay: Equipment = {
  place: 60,
  meantFor: [{ family: "two-winding", leads: [5], practised: true }],
  made: {
    id: "air-handler-relay",
    title: "Air handler, fan relay",
    supply: SUPPLY_230,
    devices: [
      disconnect(["L1", "L2"]),
      {
        id: "relay",
        name: "fan relay",
        terminals: [blade("relay.NO", "call", 2), blade("relay.NC", "call", 2), blade("relay.L2", "load", 4)],
        parts: [
          contact("relay.make", "L1", "relay.NO", ["fan"]),
          contact("relay.break", "L1", "relay.NC", "always", { opensOn: ["fan"] }),
          contact("relay.through", "L2", "relay.L2", "always"),
        ],
      },
      singleCapacitor("capacitor", 7.5, 440),
      GROUND_STUD,
    ],
    wires: [],
    calls: [{ id: "fan", name: "Fan" }],
    offers: {
      feeds: [{ call: "fan", hot: "relay.NO", want: "fastest" }],
      back: "relay.L2",
      park: [],
      ground: "G",
      capacitor: OWN_CAPACITOR,
    },
    cautions: ["The relay breaks one leg; the other stays live."],
  },
};
