import { describe, expect, it } from "vitest";
import { ohmmeter, seededRandom } from "../bench";
import type { Network } from "../motor/network";
import { led } from "./course";

/** Run end a, three taps b, c, d, start end e; a main of 5 ohms, and between its first two taps so many. */
function blower(betweenTaps: number): Network {
  return {
    junctions: 5,
    sections: [
      { from: 0, to: 1, winding: "main", ohms: 5 },
      { from: 1, to: 2, winding: "speed", ohms: betweenTaps },
      { from: 2, to: 3, winding: "speed", ohms: 1 },
      { from: 3, to: 4, winding: "start", ohms: 10 },
    ],
    leadAt: new Map([..."abcde"].map((lead, junction) => [lead, junction])),
  };
}

const leads = [..."abcde"].map((id) => ({ id }));
const pairs = (leads.length * (leads.length - 1)) / 2;

function course(betweenTaps: number, resolutionOhms: number, seed: number) {
  const meter = { percent: 1, counts: 2, resolutionOhms, probeOhms: 0 };
  return led({ leads }, { read: ohmmeter(blower(betweenTaps), meter, seededRandom(seed)), meter });
}

describe("when a course ends", () => {
  it.each([1, 2, 3, 4, 5, 6])("taps far apart are settled with few readings (motor %i)", (seed) => {
    const { answer, readings } = course(1.2, 0.1, seed);
    expect(answer.status).toBe("settled");
    expect(answer.roles.c).toMatchObject({ role: "speed", rank: 2 });
    expect(readings.length).toBeLessThanOrEqual(leads.length + 2);
  });

  it.each([1, 2, 3, 4, 5, 6])(
    "taps near the last digit are given up with pairs unread and every lead touched; the finer range settles them (motor %i)",
    (seed) => {
      const coarse = course(0.16, 0.1, seed);
      expect(coarse.answer.status).toBe("tied");
      expect(coarse.readings.length).toBeLessThan(pairs);
      expect(new Set(coarse.readings.flatMap(({ between }) => between)).size).toBe(leads.length);

      const fine = course(0.16, 0.01, seed);
      expect(fine.answer.status).toBe("settled");
      expect([fine.answer.roles.b?.rank, fine.answer.roles.c?.rank]).toEqual([1, 2]);
    },
  );
});
