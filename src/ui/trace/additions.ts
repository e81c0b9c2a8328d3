import type { Compartment, Device } from "@/core/wiring";

/** Small changes to a compartment that have to find an id nobody has, or clean up after themselves. */
export const additions = {
  /** The device with one terminal more. */
  terminal: (device: Device, name: string): Device => ({
    ...device,
    terminals: [
      ...device.terminals,
      {
        id: `${device.id}.${name.replace(/[^A-Za-z0-9_/-]+/g, "-")}`,
        name,
        kind: device.terminals[0]?.kind ?? "load",
        places: 2,
        grip: device.terminals[0]?.grip ?? "blade",
      },
    ],
  }),

  /** A wire between two terminals. */
  wire: (made: Compartment, from: string, to: string): Compartment["wires"][number] => ({
    id: free(
      "wire",
      made.wires.map(({ id }) => id),
    ),
    from,
    to,
  }),

  /** The compartment without a device, its wires, and what it offered a motor. */
  withoutDevice: (made: Compartment, gone: string): Compartment => {
    const own = new Set(made.devices.find(({ id }) => id === gone)?.terminals.map(({ id }) => id));
    const { capacitor, start, takesStartOut, ...offers } = made.offers;
    const keepsCapacitor = capacitor && capacitor.device !== gone && !own.has(capacitor.startSide);
    const keepsStart = start !== undefined && !own.has(start);
    return {
      ...made,
      devices: made.devices.filter(({ id }) => id !== gone),
      wires: made.wires.filter(({ from, to }) => !own.has(from) && !own.has(to)),
      offers: {
        ...offers,
        park: offers.park.filter((id) => !own.has(id)),
        ...(keepsCapacitor ? { capacitor } : {}),
        ...(keepsStart ? { start, ...(takesStartOut ? { takesStartOut } : {}) } : {}),
      },
    };
  },

  /** The compartment with one call more, hot where the first is and meeting every other until told otherwise. */
  call: (made: Compartment, name: string): Compartment => {
    const taken = made.calls.map(({ id }) => id);
    const id = taken.includes(plain(name)) ? free(plain(name), taken) : plain(name);
    const hot = made.offers.feeds[0]?.hot ?? made.offers.back;
    return {
      ...made,
      calls: [...made.calls, { id, name }],
      ...(made.together ? { together: [...made.together, ...taken.map((other) => [other, id])] } : {}),
      offers: { ...made.offers, feeds: [...made.offers.feeds, { call: id, hot, want: "slowest" }] },
    };
  },

  /** The compartment with two calls that can stand at once, or no longer can; larger sets that hold both go with them. */
  meeting: (made: Compartment, pair: readonly [string, string], can: boolean): Compartment => {
    const sets = made.together ?? [];
    const others = sets.filter((set) => !pair.every((call) => set.includes(call)));
    return { ...made, together: can ? [...sets, [...pair]] : others };
  },

  /** The compartment without a call; contacts no longer wait for it. */
  withoutCall: (made: Compartment, gone: string): Compartment => {
    const others = (ids: readonly string[]) => ids.filter((id) => id !== gone);
    return {
      ...made,
      calls: made.calls.filter(({ id }) => id !== gone),
      devices: made.devices.map((device) => ({
        ...device,
        parts: device.parts.map((part) =>
          part.kind === "contact"
            ? {
                ...part,
                closedOn: part.closedOn === "always" ? part.closedOn : others(part.closedOn),
                ...(part.opensOn ? { opensOn: others(part.opensOn) } : {}),
              }
            : part,
        ),
      })),
      ...(made.together ? { together: made.together.filter((set) => !set.includes(gone)) } : {}),
      offers: { ...made.offers, feeds: made.offers.feeds.filter(({ call }) => call !== gone) },
    };
  },
};

/** Letters, digits and _ / - alone. */
function plain(name: string): string {
  return (
    name
      .toLowerCase()
      .replace(/[^a-z0-9_/-]+/g, "-")
      .slice(0, 20) || "call"
  );
}

function free(stem: string, taken: readonly string[]): string {
  let n = taken.length + 1;
  while (taken.includes(`${stem}-${n}`)) n += 1;
  return `${stem}-${n}`;
}
