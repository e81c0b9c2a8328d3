import type { Variant } from "../family";
import type { FeedingAsk, Net } from "../feeding";
import type { Role } from "../role";
import type { Slot } from "../slot";

/**
 * A thermal protector with both its ends brought out, P1 and P2 (NEMA MG 1, part 2): closed while it is cool, so that
 * its leads read as one conductor, apart from every winding.
 */
export const PROTECTOR: Role = { role: "protector" };
export const PROTECTOR_SLOTS: readonly [Slot, Slot] = ["P1", "P2"];

export const PROTECTOR_WORDS = "protector, in line before the windings";

/** Beside the builds that have their protector inside, or none. */
const BROUGHT_OUT = 0.05;

/** Builds with as many leads, two of them the protector's; `buildsOf` gives those without. */
export function withProtector(
  buildsOf: (leadCount: number) => readonly Variant[],
  leadCount: number,
): readonly Variant[] {
  const outside = leadCount > 2 ? buildsOf(leadCount - 2) : [];
  return [
    ...buildsOf(leadCount),
    ...outside.map((build) => ({
      ...build,
      nodes: [...build.nodes, { role: PROTECTOR, leads: 2 }],
      weight: BROUGHT_OUT * build.weight,
    })),
  ];
}

/**
 * The nets with the line led through the protector, where its leads come out: line 1, or, where the equipment feeds the
 * start winding by a wire of its own beside that, the line that all windings come back to.
 */
export function throughProtector(
  nets: readonly Net[] | null,
  { slots, startOutside }: FeedingAsk,
): readonly Net[] | null {
  const [line, winding] = PROTECTOR_SLOTS;
  if (!nets || !slots.has(line)) return nets;
  const guarded = startOutside ? "line-2" : "line-1";
  return [
    { services: [guarded], slots: [line] },
    ...nets.map((net) =>
      net.services.includes(guarded)
        ? { services: net.services.filter((service) => service !== guarded), slots: [winding, ...net.slots] }
        : net,
    ),
  ];
}
