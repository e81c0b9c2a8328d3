import * as z from "zod/mini";
import { compartment } from "@/core/wiring";
import { route } from "../route";

const equipment = z.object({ equipment: z.uuid() });

export const listEquipment = route({
  id: "listEquipment",
  method: "GET",
  path: "/api/v1/equipment",
  summary: "The equipment that the shop built itself and keeps for other jobs",
  // One that an older form let through and this one does not must not take the others with it: each is read by itself.
  answer: z.object({ equipment: z.array(z.object({ id: z.uuid(), made: z.unknown() })) }),
});

export const putEquipment = route({
  id: "putEquipment",
  method: "PUT",
  path: "/api/v1/equipment/{equipment}",
  summary: "Keep a compartment for other jobs, or put its new form in place of the old one",
  params: equipment,
  absent: "There is no such equipment.",
  body: compartment,
  refused: "The equipment does not hold together; nothing was kept.",
  answer: z.object({ kept: z.literal(true) }),
  refusals: { 409: "The shop keeps as many as it may" },
});

export const deleteEquipment = route({
  id: "deleteEquipment",
  method: "DELETE",
  path: "/api/v1/equipment/{equipment}",
  summary: "Take one out of the shop’s own equipment; jobs keep their copies",
  params: equipment,
  absent: "There is no such equipment.",
  answer: z.object({ removed: z.literal(true) }),
});
