import * as z from "zod/mini";
import { parseNumber, type StockItem, stockItem } from "@/core";
import { itemFaults } from "@/core/stock";

/** A line of the stock as it is typed: every field text, the plate field by field. */
export const typedLine = z.object({
  kind: z.enum(["motor", "capacitor"]),
  name: z.string(),
  part: z.string(),
  count: z.string(),
  minimum: z.string(),
  cost: z.string(),
  place: z.string(),
  label: z.string(),
  ohms: z.string(),
  plate: z.record(z.string(), z.string()),
});
export type TypedLine = z.output<typeof typedLine>;

/** The line that is typed, as the form shows it. */
export function typedOf(item: StockItem): TypedLine {
  const { kind, name, part, count, minimum, cost, place } = item;
  return {
    kind,
    name,
    part,
    count: String(count),
    minimum: String(minimum),
    cost: cost === null ? "" : String(cost),
    place,
    label: kind === "capacitor" ? item.label : "",
    ohms: kind === "motor" ? item.ohms : "",
    plate: kind === "motor" ? { ...item.plate } : {},
  };
}

/** The form of a line: what is typed makes the line of the stock, or says field by field what is wrong with it. */
export function lineForm(id: string) {
  return z.pipe(
    typedLine,
    z.transform((typed, context): StockItem => {
      const marked = new Set<string>();
      const wrong = (path: readonly string[], message: string) => {
        if (marked.has(path.join())) return;
        marked.add(path.join());
        context.issues.push({ code: "custom", input: typed, path: [...path], message });
      };
      const whole = (key: "count" | "minimum") => {
        const value = parseNumber(typed[key]);
        if (value === null || !Number.isInteger(value)) wrong([key], "Give a whole number.");
        return value ?? 0;
      };
      const { kind, name, part, place, label, ohms, plate } = typed;
      const cost = typed.cost.trim() === "" ? null : parseNumber(typed.cost);
      if (typed.cost.trim() !== "" && cost === null) wrong(["cost"], "Give an amount, or leave it blank.");
      if (name.trim() === "") wrong(["name"], "Give it a name.");
      const own = kind === "motor" ? { kind, plate, ohms } : { kind, label };
      const parsed = stockItem.safeParse({
        id,
        name,
        part,
        place,
        count: whole("count"),
        minimum: whole("minimum"),
        cost,
        ...own,
      });
      if (!parsed.success) {
        for (const { path, message } of parsed.error.issues) {
          const key = String(path[0] ?? "");
          wrong([key], key === "label" ? "Give its label, such as 5 MFD 370." : message);
        }
        return z.NEVER;
      }
      for (const { path, says } of itemFaults(parsed.data)) wrong(path.map(String), says);
      return parsed.data;
    }),
  );
}
