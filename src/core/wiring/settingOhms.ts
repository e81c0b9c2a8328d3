import { feedingOf } from "../machine/feedingOf";
import type { WoundMotor } from "../machine/woundMotor";
import { effectiveResistance } from "../ohms/effectiveResistance";

/**
 * Ohms that a meter reads from line to line with a motor's leads joined for a setting, mains only: the start winding lifted
 * or held open by its switch or capacitor. Null where the chart has no such setting.
 */
export function settingOhms(motor: WoundMotor, setting: "low" | "high"): number | null {
  const slots = new Set(motor.leads.map(({ slot }) => slot));
  const nets = feedingOf(motor).chart({ speed: 1, setting, reversed: false, slots, startOutside: false });
  if (!nets) return null;
  const names = [...new Set(motor.coils.flatMap(({ from, to }) => [from, to]))];
  const netOf = (junction: string) =>
    nets.findIndex(({ slots: joined }) =>
      motor.leads.some((lead) => lead.junction === junction && joined.includes(lead.slot)),
    );
  // Junctions of one net are one; the others keep a number of their own.
  const number = (junction: string) => {
    const net = netOf(junction);
    return net >= 0 ? net : nets.length + names.indexOf(junction);
  };
  const [one, two] = ["line-1", "line-2"].map((line) =>
    nets.findIndex(({ services }) => services.some((service) => service === line)),
  );
  if (one === undefined || two === undefined || one < 0 || two < 0) return null;
  const sections = motor.coils
    .filter(({ winding }) => winding !== "start")
    .map(({ from, to, ohms, winding }) => ({ from: number(from), to: number(to), ohms, winding }))
    .filter(({ from, to }) => from !== to);
  return effectiveResistance({ junctions: nets.length + names.length, sections })[one]?.[two] ?? null;
}
