"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useState } from "react";
import { type Compartment, compartment, DEVICE_LIBRARY, type Device } from "@/core/wiring";
import { Choice } from "../parts/Choice";
import { Fold } from "../parts/Fold";
import { KeptEntry } from "../parts/KeptEntry";
import { Trouble } from "../parts/Trouble";
import { TOUCH } from "../theme/measures";
import { usePlaceWords, useWords } from "../words/UsageProvider";
import { usePlaceName } from "../words/usePlaceName";
import { additions } from "./additions";
import { CallsEditor } from "./CallsEditor";
import { DeviceEditor } from "./DeviceEditor";
import { EquipmentText } from "./EquipmentText";
import { TerminalOptions } from "./TerminalOptions";

interface Props {
  readonly made: Compartment;
  readonly onKeep: (made: Compartment) => void;
}

/** Edits the job's copy of a compartment: supply, devices and their terminals, capacitor values, wires, which call is hot where. */
export function EquipmentEditor({ made, onKeep }: Props) {
  const words = useWords();
  const nameOf = usePlaceWords();
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
      {fault ? <Trouble>{fault} It was left as it was.</Trouble> : null}
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
          title={nameOf(device.name)}
          summary={device.terminals.map(({ name }) => nameOf(name)).join(" ")}
        >
          <DeviceEditor
            device={device}
            calls={made.calls}
            onChange={(to) => change(device.id, to)}
            onGone={() => keep(additions.withoutDevice(made, device.id))}
          />
        </Fold>
      ))}
      <AddDevice made={made} onKeep={keep} />
      <Fold title="Wires of the equipment" summary={`${made.wires.length}`}>
        <WiresEditor made={made} onKeep={keep} />
      </Fold>
      <Fold
        title={words("Calls and where they are hot")}
        summary={made.calls.map(({ name }) => name).join(", ")}
      >
        <CallsEditor made={made} onKeep={keep} />
      </Fold>
      <Fold title="As text" summary="to copy, or to change everything else">
        <EquipmentText made={made} onKeep={onKeep} />
      </Fold>
    </Box>
  );
}

function AddDevice({ made, onKeep }: { made: Compartment; onKeep: (made: Compartment) => string | null }) {
  const words = useWords();
  const [chosen, setChosen] = useState("");
  const entry = DEVICE_LIBRARY.find(({ id }) => id === chosen) ?? DEVICE_LIBRARY[0];
  if (!entry) return null;
  const add = () => {
    const { device, wires } = entry.make(made);
    onKeep({ ...made, devices: [...made.devices, device], wires: [...made.wires, ...wires] });
  };
  return (
    <Box sx={{ display: "grid", gridTemplateColumns: "minmax(0,1fr) auto", gap: 2, alignItems: "end" }}>
      <Choice label="Add a device" value={entry.id} onChange={setChosen}>
        {DEVICE_LIBRARY.map(({ id, title }) => (
          <option key={id} value={id}>
            {words(title)}
          </option>
        ))}
      </Choice>
      <Button sx={{ minHeight: TOUCH }} onClick={add}>
        Add
      </Button>
    </Box>
  );
}

function WiresEditor({ made, onKeep }: { made: Compartment; onKeep: (made: Compartment) => string | null }) {
  const placeName = usePlaceName();
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
          <TerminalOptions made={made} />
        </Choice>
        <Choice label="To" value={to} onChange={setTo}>
          <TerminalOptions made={made} />
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
