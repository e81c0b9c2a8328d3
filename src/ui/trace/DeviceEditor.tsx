"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import type { Compartment, Contact, Device } from "@/core/wiring";
import { AddEntry } from "../parts/AddEntry";
import { Choice } from "../parts/Choice";
import { KeptEntry } from "../parts/KeptEntry";
import { Tick } from "../parts/Tick";
import { TOUCH } from "../theme/measures";
import { additions } from "./additions";

interface Props {
  readonly device: Device;
  readonly calls: Compartment["calls"];
  readonly onChange: (to: (device: Device) => Device) => string | null;
  readonly onGone: () => void;
}

type Part = Device["parts"][number];

/** One device of a compartment: names and places of its terminals, its dial, when its contacts close, its capacitors. */
export function DeviceEditor({ device, calls, onChange, onGone }: Props) {
  const terminal = (id: string, change: Partial<Device["terminals"][number]>) =>
    onChange((d) => ({
      ...d,
      terminals: d.terminals.map((t) => (t.id === id ? { ...t, ...change } : t)),
    }));
  const part = <P extends Part>(one: P, change: Partial<P>) =>
    onChange((d) => ({ ...d, parts: d.parts.map((p) => (p.id === one.id ? { ...p, ...change } : p)) }));
  return (
    <Box sx={{ display: "grid", gap: 2 }}>
      <KeptEntry
        label="Device"
        value={device.name}
        maxLength={60}
        onKeep={(name) => onChange((d) => ({ ...d, name }))}
      />
      {device.dial ? (
        <Choice
          label="Set at"
          value={device.dial.at}
          onChange={(at) => onChange((d) => (d.dial ? { ...d, dial: { ...d.dial, at } } : d))}
        >
          {device.dial.positions.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </Choice>
      ) : null}
      {device.terminals.map(({ id, name, places }) => (
        <Box key={id} sx={{ display: "grid", gridTemplateColumns: "2fr 1fr", gap: 2 }}>
          <KeptEntry
            label="Terminal"
            value={name}
            maxLength={60}
            onKeep={(to) => terminal(id, { name: to })}
          />
          <KeptEntry
            label="Places"
            value={String(places)}
            numeric
            onKeep={(text) => terminal(id, { places: Number(text) })}
          />
        </Box>
      ))}
      {device.parts.map((one) =>
        one.kind === "capacitor" ? (
          <Box key={one.id} sx={{ display: "grid", gridTemplateColumns: "1fr 1fr", gap: 2 }}>
            {(["microfarads", "volts"] as const).map((figure) => (
              <KeptEntry
                key={figure}
                label={figure === "microfarads" ? `µF, ${ends(device, one).join(" to ")}` : "Volts"}
                value={String(one[figure])}
                numeric
                onKeep={(text) => part(one, { [figure]: Number(text), stated: "told" })}
              />
            ))}
          </Box>
        ) : one.kind === "contact" ? (
          <ContactEditor
            key={one.id}
            title={ends(device, one).join(" to ")}
            contact={one}
            calls={calls}
            onChange={(change) => part(one, change)}
          />
        ) : one.kind === "potential-relay" ? (
          <Box key={one.id} sx={{ display: "grid", gridTemplateColumns: "1fr 1fr", gap: 2 }}>
            {(["pickUpVolts", "dropOutVolts"] as const).map((figure) => (
              <KeptEntry
                key={figure}
                label={figure === "pickUpVolts" ? "Picks up at, volts" : "Drops out at, volts"}
                value={String(one[figure])}
                numeric
                onKeep={(text) => part(one, { [figure]: Number(text), stated: "told" })}
              />
            ))}
          </Box>
        ) : null,
      )}
      <Box sx={{ display: "flex", gap: 2, alignItems: "end" }}>
        <Box sx={{ flex: 1 }}>
          <AddEntry
            label="Add a terminal, by name"
            onAdd={(name) => onChange((d) => additions.terminal(d, name))}
          />
        </Box>
        <Button color="inherit" sx={{ minHeight: TOUCH }} onClick={onGone}>
          Take the device away
        </Button>
      </Box>
    </Box>
  );
}

/** The names of a part's two ends; those on another device by their ids. */
function ends(device: Device, { from, to }: Part): string[] {
  return [from, to].map((end) => device.terminals.find(({ id }) => id === end)?.name ?? end);
}

/** When a contact is closed: on which calls, or always; and what else opens it. */
function ContactEditor({
  title,
  contact,
  calls,
  onChange,
}: {
  title: string;
  contact: Contact;
  calls: Compartment["calls"];
  onChange: (change: Partial<Contact>) => string | null;
}) {
  const { closedOn, opensOn } = contact;
  const always = closedOn === "always";
  const ids = always ? (opensOn ?? []) : closedOn;
  const set = (next: readonly string[]) =>
    onChange(always ? { opensOn: next.length > 0 ? [...next] : undefined } : { closedOn: [...next] });
  return (
    <Box component="fieldset" sx={{ border: 0, m: 0, p: 0, minWidth: 0, display: "grid", gap: 1 }}>
      <Box component="legend" sx={{ p: 0, fontWeight: 600 }}>
        Contact {title}
      </Box>
      <Choice
        label={`Contact ${title} is`}
        value={always ? "always" : "calls"}
        onChange={(value) =>
          onChange(
            value === "always"
              ? { closedOn: "always", opensOn: undefined }
              : { closedOn: [], opensOn: undefined },
          )
        }
      >
        <option value="calls">open, closed by a call</option>
        <option value="always">closed, opened by a call or by none</option>
      </Choice>
      <Box sx={{ display: "flex", flexWrap: "wrap", columnGap: 4 }}>
        {calls.map(({ id, name }) => (
          <Tick
            key={id}
            checked={ids.includes(id)}
            onTick={(closes) => set(closes ? [...ids, id] : ids.filter((one) => one !== id))}
          >
            {name}
          </Tick>
        ))}
      </Box>
      <KeptEntry
        label="Opened too when …"
        value={contact.openedBy ?? ""}
        maxLength={60}
        onKeep={(text) => onChange({ openedBy: text.trim() === "" ? undefined : text.trim() })}
      />
    </Box>
  );
}
