import { fault, type Refused, refused } from "./fault";

/** What a motor's winding can have, °C: colder and hotter readings are slips. */
export const WINDING_RANGE_C = { least: -50, most: 250 } as const;

/** °C of °F. */
export function celsiusOfFahrenheit(fahrenheit: number): number {
  return ((fahrenheit - 32) * 5) / 9;
}

/**
 * Reads a winding temperature as a hand types it: "25", "25 C", "77 F", "77°F". A bare number is °C.
 *
 * @returns °C, or what is wrong with it in plain words.
 */
export function parseTemperature(text: string): { ok: true; celsius: number } | Refused {
  const match = /^\s*([+-]?\d+(?:[.,]\d+)?)\s*°?\s*([cf])?\s*$/i.exec(text);
  if (!match)
    return refused(fault("not-a-temperature", `“${text.trim()}” is no temperature. Write 25, or 77 F.`));
  const value = Number((match[1] ?? "").replace(",", "."));
  const celsius = /f/i.test(match[2] ?? "") ? celsiusOfFahrenheit(value) : value;
  if (celsius < WINDING_RANGE_C.least || celsius > WINDING_RANGE_C.most)
    return refused(
      fault("out-of-range", `${Math.round(celsius)} °C is no winding temperature; −50 to 250 °C is.`),
    );
  return { ok: true, celsius: Math.round(celsius * 10) / 10 };
}
