"use client";

import { useState } from "react";
import { v7 as uuid } from "uuid";
import * as z from "zod/mini";
import { asked, type Called, call } from "@/contract/call";
import { deleteEquipment, listEquipment, putEquipment } from "@/contract/routes/equipment";
import { type Compartment, compartment } from "@/core/wiring";
import { useServed } from "../parts/useServed";

const OWN = "own-";
const AWAY = "The server cannot be reached just now; the job keeps its copy. Try again.";

/** The record under which a compartment is kept by the shop; null for one of the ready-made and for what is the job's alone. */
function keptUnder({ id }: Pick<Compartment, "id">): string | null {
  const record = id.startsWith(OWN) ? id.slice(OWN.length) : "";
  return z.uuid().safeParse(record).success ? record : null;
}

/** The shop's own equipment, to choose from, to keep in and to take out of. */
export function useOwnEquipment() {
  const [trouble, setTrouble] = useState<string | null>(null);
  const list = useServed(
    "own-equipment",
    async (signal): Promise<readonly Compartment[]> =>
      (await asked(listEquipment, { signal })).equipment.flatMap(({ made }) => {
        const read = compartment.safeParse(made);
        return read.success ? [read.data] : [];
      }),
    { retries: 1 },
  );
  const done = async (called: Called<unknown>): Promise<boolean> => {
    setTrouble(called.ok ? null : called.status === null ? AWAY : called.says);
    if (called.ok) list.again();
    return called.ok;
  };
  return {
    list: list.answer ?? [],
    away: list.away,
    trouble,
    /** Keeps it under its own record, or under a new one; false where that failed. */
    keep: async (made: Compartment): Promise<boolean> => {
      const record = keptUnder(made) ?? uuid();
      const body = { ...made, id: `${OWN}${record}` };
      return done(await call(putEquipment, { params: { equipment: record }, body }));
    },
    /** One that is gone already is no trouble. */
    forget: async (made: Compartment): Promise<boolean> => {
      const called = await call(deleteEquipment, { params: { equipment: keptUnder(made) ?? "" } });
      return done(called.ok || called.status === 404 ? { ok: true, value: null } : called);
    },
  };
}
