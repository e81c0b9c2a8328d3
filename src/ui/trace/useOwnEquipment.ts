"use client";

import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { v7 as uuid } from "uuid";
import { z } from "zod";
import { type Compartment, compartment } from "@/core/wiring";

const answer = z.object({ equipment: z.array(z.object({ id: z.uuid(), made: z.unknown() })) });
const problem = z.object({ title: z.string() });

const OWN = "own-";
const KEY = ["own-equipment"];

/** The record under which a compartment is kept by the shop; null for one of the ready-made and for what is the job's alone. */
function keptUnder({ id }: Pick<Compartment, "id">): string | null {
  const record = id.startsWith(OWN) ? id.slice(OWN.length) : "";
  return z.uuid().safeParse(record).success ? record : null;
}

/** The shop's own equipment, to choose from, to keep in and to take out of. */
export function useOwnEquipment() {
  const client = useQueryClient();
  const [trouble, setTrouble] = useState<string | null>(null);
  const list = useQuery({
    queryKey: KEY,
    retry: 1,
    queryFn: async (): Promise<readonly Compartment[]> => {
      const response = await fetch("/api/v1/equipment");
      if (!response.ok) throw new Error(String(response.status));
      // One that an older form let through and this one does not must not take the others with it.
      return answer.parse(await response.json()).equipment.flatMap(({ made }) => {
        const read = compartment.safeParse(made);
        return read.success ? [read.data] : [];
      });
    },
  });
  const send = async (record: string, init: RequestInit): Promise<boolean> => {
    try {
      const response = await fetch(`/api/v1/equipment/${record}`, init);
      const gone = init.method === "DELETE" && response.status === 404;
      if (!response.ok && !gone) {
        const read = problem.safeParse(await response.json().catch(() => null));
        setTrouble(read.success ? read.data.title : `The server answered ${response.status}.`);
        return false;
      }
    } catch {
      setTrouble("The server cannot be reached just now; the job keeps its copy. Try again.");
      return false;
    }
    setTrouble(null);
    await client.invalidateQueries({ queryKey: KEY });
    return true;
  };
  return {
    list: list.data ?? [],
    away: list.isError,
    trouble,
    /** Keeps it under its own record, or under a new one; false where that failed. */
    keep: (made: Compartment): Promise<boolean> => {
      const record = keptUnder(made) ?? uuid();
      return send(record, {
        method: "PUT",
        headers: { "content-type": "application/json" },
        body: JSON.stringify({ ...made, id: `${OWN}${record}` }),
      });
    },
    forget: (made: Compartment): Promise<boolean> => send(keptUnder(made) ?? "", { method: "DELETE" }),
  };
}
