/** How a reading is expected to fall: bins of ohms, each with its share. A bin may come more than once. */
export interface BinShares {
  readonly bins: readonly number[];
  readonly shares: readonly number[];
}

/** Slots of the table that weights are kept in, a power of two; it grows when half full. */
const FIRST_SLOTS = 1024;
/** Bins are numbered as they come; the number of a pair of class and bin is class × this + bin. */
const MOST_BINS = 4096;
/** Multiplier of multiplicative hashing: 2³² over the golden ratio (Knuth, The Art of Computer Programming, 6.4). */
const GOLDEN = 0x9e3779b1;

/**
 * Weights of classes and readings together, for the mutual information between them. One table serves pair after pair:
 * it is filled a few hundred thousand times for a sheet, so nothing is made anew and keys are small numbers.
 */
export class JointWeights {
  private readonly classes = new Numbered();
  private readonly readings = new Numbered();
  private keys = new Int32Array(FIRST_SLOTS).fill(-1);
  private weights = new Float64Array(FIRST_SLOTS);
  private used: number[] = [];

  /** Empties it for the next pair. */
  clear(): void {
    for (const slot of this.used) this.keys[slot] = -1;
    this.used = [];
    this.classes.clear();
    this.readings.clear();
  }

  /** @param label the class, any whole number. */
  add(label: number, { bins, shares }: BinShares, weight: number): void {
    const c = this.classes.of(label);
    for (let k = 0; k < bins.length; k++) {
      const part = weight * (shares[k] as number);
      if (part <= 0) continue;
      const bin = this.readings.of(bins[k] as number);
      this.classes.add(c, part);
      this.readings.add(bin, part);
      this.bump(c * MOST_BINS + bin, part);
    }
  }

  /** I = H(reading) + H(class) − H(both), in nats; never below zero. */
  mutualInformation(): number {
    const both = entropy(this.weights, this.used);
    return Math.max(0, entropy(this.readings.weights) + entropy(this.classes.weights) - both);
  }

  private bump(key: number, weight: number): void {
    const last = this.keys.length - 1;
    let slot = (Math.imul(key, GOLDEN) >>> 8) & last;
    for (; this.keys[slot] !== -1; slot = (slot + 1) & last) {
      if (this.keys[slot] !== key) continue;
      this.weights[slot] = (this.weights[slot] as number) + weight;
      return;
    }
    this.keys[slot] = key;
    this.weights[slot] = weight;
    this.used.push(slot);
    if (this.used.length * 2 > last) this.grow();
  }

  private grow(): void {
    const { keys, weights, used } = this;
    this.keys = new Int32Array(2 * keys.length).fill(-1);
    this.weights = new Float64Array(2 * keys.length);
    this.used = [];
    for (const slot of used) this.bump(keys[slot] as number, weights[slot] as number);
  }
}

/** Whole numbers in the order in which they first came, each with the weight that it gathered. */
class Numbered {
  readonly weights: number[] = [];
  private readonly numbers = new Map<number, number>();

  clear(): void {
    this.weights.length = 0;
    this.numbers.clear();
  }

  of(value: number): number {
    const known = this.numbers.get(value);
    if (known !== undefined) return known;
    const made = this.weights.push(0) - 1;
    this.numbers.set(value, made);
    return made;
  }

  add(number: number, weight: number): void {
    this.weights[number] = (this.weights[number] as number) + weight;
  }
}

/** The entropy of weights, in nats; of some of them where they stand in a table. */
function entropy(weights: ArrayLike<number>, slots?: readonly number[]): number {
  let total = 0;
  let sum = 0;
  const { length } = slots ?? weights;
  for (let k = 0; k < length; k++) {
    const weight = weights[slots ? (slots[k] as number) : k] as number;
    if (weight <= 0) continue;
    total += weight;
    sum += weight * Math.log(weight);
  }
  return total > 0 ? Math.log(total) - sum / total : 0;
}
