"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import { useState } from "react";
import { type Compartment, compartment, type Device, placeName } from "@/core/wiring";
import { Choice } from "../parts/Choice";
import { Fold } from "../parts/Fold";
import { KeptEntry } from "../parts/KeptEntry";
import { TOUCH } from "../theme/theme";
import { additions } from "./additions";
import { EquipmentText } from "./EquipmentText";

interface Props {
  readonly made: Compartment;
  readonly onKeep: (made: Compartment) => void;
}

/** Edits the job's copy of a compartment: supply, devices and their terminals, capacitor values, wires, which call is hot where. */
export function EquipmentEditor({ made, onKeep }: Props) {
  const [fault, setFault] = useState<string | null>(null);
  /** Keeps what holds together; what does not stays as it was, and it is said why. */
  const keep = (next: Compartment): string | null => {
    const read = compartment.safeParse(next);
    const says = read.success ? null : (read.error.issues[0]?.message ?? "This does not hold together.");
    setFault(says);
    if (read.success) onKeep(read.data);
    return says;
  };
  const change = (id: string, to: (device: Device) => Device) =>
    keep({ ...made, devices: made.devices.map((device) => (device.id === id ? to(device) : device)) });
  return (
    <Box
      component="section"
      aria-label="Edit the equipment"
      sx={{ borderLeft: "3px solid", borderColor: "primary.main", pl: 3, display: "grid", gap: 3 }}
    >
      {fault ? (
        <Typography role="alert" sx={{ color: "warning.main", fontWeight: 600 }}>
          {fault} It was left as it was.
        </Typography>
      ) : null}
      <KeptEntry
        label="Name"
        value={made.title}
        maxLength={60}
        onKeep={(title) => keep({ ...made, title })}
      />
      <Box sx={{ display: "grid", gridTemplateColumns: "1fr 1fr", gap: 2 }}>
        <KeptEntry
          label="Supply, volts"
          value={String(made.supply.volts)}
          numeric
          onKeep={(text) => keep({ ...made, supply: { ...made.supply, volts: Number(text) } })}
        />
        <Choice
          label="Hertz"
          value={String(made.supply.hertz)}
          onChange={(value) => keep({ ...made, supply: { ...made.supply, hertz: value === "50" ? 50 : 60 } })}
        >
          <option value="60">60</option>
          <option value="50">50</option>
        </Choice>
      </Box>
      {made.devices.map((device) => (
        <Fold
          key={device.id}
          title={device.name}
          summary={device.terminals.map(({ name }) => name).join(" ")}
        >
          <DeviceEditor
            device={device}
            onChange={(to) => change(device.id, to)}
            onGone={() => keep({ ...made, devices: made.devices.filter(({ id }) => id !== device.id) })}
          />
        </Fold>
      ))}
      <AddDevice made={made} onKeep={keep} />
      <Fold title="Wires of the equipment" summary={`${made.wires.length}`}>
        <WiresEditor made={made} onKeep={keep} />
      </Fold>
      <Fold title="Calls and where they are hot" summary={`${made.offers.feeds.length}`}>
        <FeedsEditor made={made} onKeep={keep} />
      </Fold>
      <Fold title="As text" summary="to copy, or to change everything else">
        <EquipmentText made={made} onKeep={onKeep} />
      </Fold>
    </Box>
  );
}

function DeviceEditor({
  device,
  onChange,
  onGone,
}: {
  device: Device;
  onChange: (to: (device: Device) => Device) => string | null;
  onGone: () => void;
}) {
  const [next, setNext] = useState("");
  return (
    <Box sx={{ display: "grid", gap: 2 }}>
      <KeptEntry
        label="Device"
        value={device.name}
        maxLength={60}
        onKeep={(name) => onChange((d) => ({ ...d, name }))}
      />
      {device.terminals.map((terminal) => (
        <Box key={terminal.id} sx={{ display: "grid", gridTemplateColumns: "2fr 1fr", gap: 2 }}>
          <KeptEntry
            label="Terminal"
            value={terminal.name}
            maxLength={60}
            onKeep={(name) =>
              onChange((d) => ({
                ...d,
                terminals: d.terminals.map((t) => (t.id === terminal.id ? { ...t, name } : t)),
              }))
            }
          />
          <KeptEntry
            label="Places"
            value={String(terminal.places)}
            numeric
            onKeep={(text) =>
              onChange((d) => ({
                ...d,
                terminals: d.terminals.map((t) =>
                  t.id === terminal.id ? { ...t, places: Number(text) } : t,
                ),
              }))
            }
          />
        </Box>
      ))}
      {device.parts.map((part) =>
        part.kind === "capacitor" ? (
          <Box key={part.id} sx={{ display: "grid", gridTemplateColumns: "1fr 1fr", gap: 2 }}>
            {(["microfarads", "volts"] as const).map((figure) => (
              <KeptEntry
                key={figure}
                label={figure === "microfarads" ? `µF, ${part.from} to ${part.to}` : "Volts"}
                value={String(part[figure])}
                numeric
                onKeep={(text) =>
                  onChange((d) => ({
                    ...d,
                    parts: d.parts.map((p) => (p.id === part.id ? { ...p, [figure]: Number(text) } : p)),
                  }))
                }
              />
            ))}
          </Box>
        ) : null,
      )}
      <Box sx={{ display: "flex", gap: 2, alignItems: "end" }}>
        <Box sx={{ flex: 1 }}>
          <KeptEntry
            label="Add a terminal, by name"
            value={next}
            maxLength={20}
            onKeep={(name) => {
              if (name.trim() === "") return null;
              setNext("");
              return onChange((d) => additions.terminal(d, name.trim()));
            }}
          />
        </Box>
        <Button color="inherit" sx={{ minHeight: TOUCH }} onClick={onGone}>
          Take the device away
        </Button>
      </Box>
    </Box>
  );
}

function AddDevice({ made, onKeep }: { made: Compartment; onKeep: (made: Compartment) => string | null }) {
  const [kind, setKind] = useState<keyof typeof additions.devices>("capacitor");
  return (
    <Box sx={{ display: "grid", gridTemplateColumns: "minmax(0,1fr) auto", gap: 2, alignItems: "end" }}>
      <Choice
        label="Add a device"
        value={kind}
        onChange={(value) =>
          setKind(value in additions.devices ? (value as keyof typeof additions.devices) : "capacitor")
        }
      >
        {Object.entries(additions.devices).map(([id, { title }]) => (
          <option key={id} value={id}>
            {title}
          </option>
        ))}
      </Choice>
      <Button
        sx={{ minHeight: TOUCH }}
        onClick={() => onKeep({ ...made, devices: [...made.devices, additions.devices[kind].make(made)] })}
      >
        Add
      </Button>
    </Box>
  );
}

function terminalOptions({ devices }: Compartment) {
  return devices.flatMap(({ terminals, name: on }) =>
    terminals.map(({ id, name }) => (
      <option key={id} value={id}>
        {name}, {on}
      </option>
    )),
  );
}

function WiresEditor({ made, onKeep }: { made: Compartment; onKeep: (made: Compartment) => string | null }) {
  const first = made.devices[0]?.terminals[0]?.id ?? "";
  const [from, setFrom] = useState(first);
  const [to, setTo] = useState(first);
  return (
    <Box sx={{ display: "grid", gap: 2 }}>
      {made.wires.map((wire) => (
        <Box
          key={wire.id}
          sx={{ display: "flex", gap: 2, alignItems: "center", justifyContent: "space-between" }}
        >
          <span>
            {placeName(made, wire.from)} to {placeName(made, wire.to)}
            {wire.serves ? `, for the ${wire.serves}` : ""}
          </span>
          <Button
            size="small"
            color="inherit"
            onClick={() => onKeep({ ...made, wires: made.wires.filter(({ id }) => id !== wire.id) })}
          >
            Take off
          </Button>
        </Box>
      ))}
      <Box
        sx={{
          display: "grid",
          gridTemplateColumns: "minmax(0,1fr) minmax(0,1fr) auto",
          gap: 2,
          alignItems: "end",
        }}
      >
        <Choice label="From" value={from} onChange={setFrom}>
          {terminalOptions(made)}
        </Choice>
        <Choice label="To" value={to} onChange={setTo}>
          {terminalOptions(made)}
        </Choice>
        <Button
          sx={{ minHeight: TOUCH }}
          disabled={from === to}
          onClick={() => onKeep({ ...made, wires: [...made.wires, additions.wire(made, from, to)] })}
        >
          Add
        </Button>
      </Box>
    </Box>
  );
}

function FeedsEditor({ made, onKeep }: { made: Compartment; onKeep: (made: Compartment) => string | null }) {
  const offers = (change: Partial<Compartment["offers"]>) =>
    onKeep({ ...made, offers: { ...made.offers, ...change } });
  return (
    <Box sx={{ display: "grid", gap: 2 }}>
      {made.offers.feeds.map((feed) => (
        <Choice
          key={feed.call}
          label={`${made.calls.find(({ id }) => id === feed.call)?.name ?? feed.call} is hot at`}
          value={feed.hot}
          onChange={(hot) =>
            offers({
              feeds: made.offers.feeds.map((one) => (one.call === feed.call ? { ...one, hot } : one)),
            })
          }
        >
          {terminalOptions(made)}
        </Choice>
      ))}
      <Choice label="Current returns at" value={made.offers.back} onChange={(back) => offers({ back })}>
        {terminalOptions(made)}
      </Choice>
    </Box>
  );
}
