import { feedingOf } from "../machine/feedingOf";
import type { WoundMotor } from "../machine/woundMotor";
import type { Net } from "../motor/feeding";
import { settingOhms } from "./settingOhms";
import { type BoardPlace, type Move, voltageMoves } from "./voltageMoves";

/** How a motor's own joints are set now, and how they are to be. */
export interface VoltageChange {
  readonly moves: readonly Move[];
  /** One reading with the power off that tells how it is set: line to line, as it reads in either setting. */
  readonly proof: { readonly lowOhms: number; readonly highOhms: number; readonly says: string } | null;
}

/** A connector holds this many ends. */
const CONNECTOR_PLACES = 6;

/** The wires of each net of a chart: the motor's leads, and the line where there is one. */
export function netsOfSetting(
  motor: WoundMotor,
  setting: "low" | "high",
  reversed = false,
): string[][] | null {
  const slots = new Set(motor.leads.map(({ slot }) => slot));
  const nets = feedingOf(motor).chart({ speed: 1, setting, reversed, slots, startOutside: false });
  return (
    nets?.map((net) => [...linesOf(net), ...leadsOf(net, motor)]).filter((net) => net.length > 0) ?? null
  );
}

function linesOf({ services }: Net): string[] {
  return services
    .filter((service) => service.startsWith("line"))
    .map((service) => service.toUpperCase().replace("LINE-", "L"));
}

function leadsOf({ slots }: Net, motor: WoundMotor): string[] {
  return motor.leads.filter(({ slot }) => slots.includes(slot)).map(({ id }) => id);
}

/** The joints as a setting has them, each on a place of its own: what to begin from when the motor stands so now. */
export function boardAsSet(nets: readonly (readonly string[])[]): Record<string, string> {
  return Object.fromEntries(nets.flatMap((net, n) => net.map((wire) => [wire, placeId(n)])));
}

/** Places of a board: as many as are used or wanted, and one to spare. */
export function boardPlaces(
  now: Readonly<Record<string, string>>,
  nets: readonly (readonly string[])[],
): BoardPlace[] {
  const used = [...new Set(Object.values(now))];
  const places = [...used];
  for (let n = 0; places.length < Math.max(used.length, nets.length); n++)
    if (!places.includes(placeId(n))) places.push(placeId(n));
  return places.map((id) => ({ id, places: CONNECTOR_PLACES }));
}

/** The moves from how the leads are joined now to the setting wanted, with the reading that proves it. */
export function voltageChange(
  motor: WoundMotor,
  now: Readonly<Record<string, string>>,
  setting: "low" | "high",
  reversed = false,
  board?: readonly BoardPlace[],
): VoltageChange | null {
  const nets = netsOfSetting(motor, setting, reversed);
  if (!nets) return null;
  const moves = voltageMoves(now, nets, board ?? boardPlaces(now, nets));
  if (!moves) return null;
  const [low, high] = [settingOhms(motor, "low"), settingOhms(motor, "high")];
  const wanted = setting === "low" ? low : high;
  const other = setting === "low" ? high : low;
  return {
    moves,
    proof:
      low === null || high === null || wanted === null || other === null
        ? null
        : {
            lowOhms: low,
            highOhms: high,
            says: `Power off, line to line, mains only: about ${ohms(wanted)} Ω when it is set for the ${setting} volts; ${ohms(other)} Ω would be the ${setting === "low" ? "high" : "low"} ones.`,
          },
  };
}

function ohms(value: number): string {
  return String(Number(value.toPrecision(2)));
}

function placeId(n: number): string {
  return String.fromCharCode(65 + n);
}
