import { fault, refused } from "../../quantity/fault";
import { formatLength, parseLength } from "../../quantity/length";
import { parseNumber } from "../../quantity/number";
import type { Plate } from "./plate";
import type { PlateField, PlateFieldId } from "./plateField";

/** A field with a few words to choose from. */
export function choice<K extends string | number>(
  id: PlateFieldId,
  title: string,
  part: PlateField["part"],
  matters: PlateField["matters"],
  choices: Readonly<Record<K, string>>,
  how: {
    howToGet: string;
    take: (value: `${K}`) => Partial<Plate>;
    has: (plate: Plate) => `${K}` | undefined;
  },
): PlateField {
  const words = choices as Readonly<Record<string, string>>;
  return {
    id,
    title,
    example: "",
    part,
    matters,
    howToGet: how.howToGet,
    choices: words,
    read: (text) => {
      const plain = text.trim().toLowerCase();
      const found = Object.keys(words).find(
        (key) => key.toLowerCase() === plain || words[key]?.toLowerCase() === plain,
      );
      return found === undefined
        ? refused(fault("not-a-choice", `“${text.trim()}” is none of: ${Object.keys(words).join(", ")}.`))
        : { ok: true, gives: how.take(found as `${K}`) };
    },
    say: (plate) => {
      const value = how.has(plate);
      return value === undefined ? null : (words[value] ?? null);
    },
  };
}

/** A field that may hold several of a few words. */
export function words<K extends string>(
  id: PlateFieldId,
  title: string,
  part: PlateField["part"],
  matters: PlateField["matters"],
  list: Readonly<Record<K, string>>,
  example: string,
  howToGet: string,
  how: { take: (values: K[]) => Partial<Plate>; has: (plate: Plate) => readonly K[] | undefined },
): PlateField {
  const keys = Object.keys(list) as K[];
  return {
    id,
    title,
    example: `${example}, or several: ${keys.slice(0, 2).join(", ")}`,
    part,
    matters,
    howToGet,
    read: (text) => {
      const parts = text.split(/\s*[,;/+]\s*|\s+and\s+/i).filter((part) => part.trim() !== "");
      if (/^\s*(?:any|all)\s*$/i.test(text)) return { ok: true, gives: how.take([...keys]) };
      const found = parts.map((part) => {
        const plain = part
          .trim()
          .toLowerCase()
          .replace(/^shaft /, "");
        return keys.find(
          (key) =>
            key === plain ||
            key.replaceAll("-", " ") === plain ||
            list[key].toLowerCase() === part.trim().toLowerCase(),
        );
      });
      if (found.length === 0 || found.includes(undefined))
        return refused(fault("not-a-choice", `“${text.trim()}” is none of: ${keys.join(", ")}.`));
      return { ok: true, gives: how.take([...new Set(found as K[])]) };
    },
    say: (plate) =>
      how
        .has(plate)
        ?.map((key) => list[key])
        .join(", ") ?? null,
  };
}

/** A field with one number between two limits, in the unit of its words. */
export function number(
  id: PlateFieldId,
  title: string,
  part: PlateField["part"],
  matters: PlateField["matters"],
  example: string,
  [least, most]: readonly [number, number],
  how: {
    howToGet: string;
    whole?: boolean;
    take: (value: number) => Partial<Plate>;
    say: (plate: Plate) => string | null;
  },
): PlateField {
  return {
    id,
    title,
    example,
    part,
    matters,
    howToGet: how.howToGet,
    read: (text) => {
      const value = parseNumber(text.replace(/\s*[a-z.]+\s*$/i, ""));
      if (value === null || (how.whole && !Number.isInteger(value)))
        return refused(
          fault("not-a-number", `“${text.trim()}” is not understood. Write it like ${example}.`),
        );
      if (value < least || value > most)
        return refused(fault("out-of-range", `${title} of these motors lies between ${least} and ${most}.`));
      return { ok: true, gives: how.take(value) };
    },
    say: how.say,
  };
}

/** A field with a length, kept in millimetres. */
export function length(
  id: PlateFieldId,
  title: string,
  matters: PlateField["matters"],
  example: string,
  howToGet: string,
  how: {
    take: (mm: number) => Partial<Plate>;
    has: (plate: Plate) => number | undefined;
    words: string;
    after: string;
  },
): PlateField {
  return {
    id,
    title,
    example: `${example} in, or mm`,
    part: "body",
    matters,
    howToGet,
    read: (text) => {
      const read = parseLength(text);
      return read.ok ? { ok: true, gives: how.take(read.mm) } : read;
    },
    say: (plate) => {
      const mm = how.has(plate);
      return mm === undefined ? null : `${how.words} ${formatLength(mm)}${how.after}`;
    },
  };
}
