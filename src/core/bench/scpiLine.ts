/** What an instrument does with one header; null where a command has no answer. */
export type ScpiCommand = readonly [header: RegExp, take: (argument: string, nowMs: number) => string | null];

/** A virtual instrument that takes lines of SCPI (IEEE 488.2, SCPI-99). */
export interface ScpiInstrument {
  /** Takes one line; gives the answer to a query, or null where a command has none. */
  readonly answer: (line: string, nowMs: number) => string | null;
}

/** Over range, as SCPI says it. */
export const SCPI_OVERLOAD = 9.9e37;
const MOST_ERRORS = 20;

/** The instrument's list of errors, read one by one by SYSTem:ERRor?. */
export class ScpiErrors {
  private readonly kept: string[] = [];

  readonly add = (error: string): null => {
    if (this.kept.length < MOST_ERRORS) this.kept.push(error);
    return null;
  };

  /** What every instrument has: *IDN?, *RST, *CLS, SYSTem:ERRor?. */
  commands(identity: string, reset: () => void = () => undefined): readonly ScpiCommand[] {
    return [
      [/^\*IDN\?$/i, () => identity],
      [
        /^\*(RST|CLS)$/i,
        () => {
          this.kept.length = 0;
          reset();
          return null;
        },
      ],
      [/^SYST(?:EM)?:ERR(?:OR)?(?::NEXT)?\?$/i, () => this.kept.shift() ?? '0,"No error"'],
    ];
  }
}

/** Takes lines by the first header that fits; an unknown one is an error of the list. */
export function scpiInstrument(commands: readonly ScpiCommand[], errors: ScpiErrors): ScpiInstrument {
  return {
    answer: (line, nowMs) => {
      const text = line.trim().replace(/^:/, "");
      if (text === "") return null;
      const [, header = "", argument = ""] = /^(\S+)\s*(.*)$/.exec(text) ?? [];
      const command = commands.find(([pattern]) => pattern.test(header));
      return command ? command[1](argument, nowMs) : errors.add('-113,"Undefined header"');
    },
  };
}

/** The strings of an argument: "a","b". */
export function namesOf(argument: string): string[] {
  return argument.split(",").map((part) => part.trim().replace(/^"(.*)"$/, "$1"));
}

/** NR3 as SCPI instruments write it: +1.24000000E+01. */
export function scientific(value: number): string {
  const [mantissa = "0", exponent = "0"] = value.toExponential(8).split("e");
  const power = Number(exponent);
  return `${value < 0 ? "" : "+"}${mantissa}E${power < 0 ? "-" : "+"}${String(Math.abs(power)).padStart(2, "0")}`;
}

/** The number of an answer to READ?; null where it is none, infinite over range. */
export function numberOf(answer: string): number | null {
  const value = Number(answer.trim());
  if (answer.trim() === "" || !Number.isFinite(value)) return null;
  return value >= 1e37 ? Number.POSITIVE_INFINITY : value;
}
