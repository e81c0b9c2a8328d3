import type { Compartment } from "@/core/wiring";

/** Every terminal of a compartment, to choose from. */
export function TerminalOptions({ made }: { made: Compartment }) {
  return (
    <>
      {made.devices.flatMap(({ terminals, name: on }) =>
        terminals.map(({ id, name }) => (
          <option key={id} value={id}>
            {name}, {on}
          </option>
        )),
      )}
    </>
  );
}
