import { v4, v7 } from "uuid";
import { expect, it } from "vitest";
import { bornAt } from "./bornAt";

it("an id that carries its time tells when it was made, any other tells nothing", () => {
  const made = Date.UTC(2026, 4, 5, 12);
  expect(bornAt(v7({ msecs: made }))).toBe(made);
  expect(bornAt(v4())).toBeNull();
});
